import { randomBytes } from 'node:crypto';
import { crc32, deflateSync } from 'node:zlib';

/** PNG of 8 bits a channel (W3C PNG, third edition). */
function png(
  [width, height]: [number, number],
  channels: 1 | 3,
  pixels: Buffer,
  level: number,
): Buffer {
  const row = width * channels;
  const rows = Buffer.alloc(height * (1 + row));
  // Each row begins with its filter: none.
  for (let y = 0; y < height; y++) pixels.copy(rows, y * (1 + row) + 1, y * row, (y + 1) * row);
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
    const [length, check] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    check.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, check]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head.set([8, channels === 1 ? 0 : 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(rows, { level })),
    chunk('IEND', Buffer.alloc(0)),
  ]);
}

/** A square picture of noise, its pixels stored as they are. */
export const noisePng = (side: number): Buffer =>
  png([side, side], 3, randomBytes(side * side * 3), 0);

/** A gray picture by the level of each pixel, 0 to 255. */
export function grayPng(
  width: number,
  height: number,
  levelAt: (x: number, y: number) => number,
): Buffer {
  const pixels = Buffer.from(
    Array.from({ length: width * height }, (_, at) => levelAt(at % width, Math.floor(at / width))),
  );
  return png([width, height], 1, pixels, 6);
}
