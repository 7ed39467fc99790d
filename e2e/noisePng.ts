import { randomBytes } from 'node:crypto';
import { crc32, deflateSync } from 'node:zlib';

/** A square picture of noise as PNG (W3C PNG, third edition), its pixels stored as they are. */
export function noisePng(side: number): Buffer {
  const rows = randomBytes(side * (1 + side * 3));
  // Each row begins with its filter: none.
  for (let row = 0; row < side; row++) rows[row * (1 + side * 3)] = 0;
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
    const [length, check] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    check.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, check]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(side, 0);
  head.writeUInt32BE(side, 4);
  // Eight bits a channel, red, green and blue.
  head.set([8, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(rows, { level: 0 })),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}
