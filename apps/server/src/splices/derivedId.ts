import { createHash } from 'node:crypto';

/**
 * A UUID of version 7 with the time of the write it comes from, the same whenever that write is sent.
 * @param writeId id of the write, made by the client
 * @param part what the id is for, one of its kind in the write
 */
export function derivedId(writeId: string, part: string): string {
  const hash = createHash('sha256').update(`${writeId} ${part}`).digest('hex');
  const variant = ((parseInt(hash.slice(3, 4), 16) & 0x3) | 0x8).toString(16);
  return `${writeId.slice(0, 13)}-7${hash.slice(0, 3)}-${variant}${hash.slice(4, 7)}-${hash.slice(7, 19)}`;
}
