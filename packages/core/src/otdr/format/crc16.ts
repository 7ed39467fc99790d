/** The remainders of every byte, polynomial 0x1021. */
const TABLE = Uint16Array.from({ length: 256 }, (_, byte) => {
  let remainder = byte << 8;
  for (let bit = 0; bit < 8; bit++)
    remainder = remainder & 0x8000 ? (remainder << 1) ^ 0x1021 : remainder << 1;
  return remainder & 0xffff;
});

/**
 * CRC-16 as trace files carry it: polynomial 0x1021, start 0xFFFF, not reflected, nothing added at the end.
 * Source: catalogue of CRC algorithms, CRC-16/IBM-3740 (from memory).
 */
export function crc16(bytes: Uint8Array, end = bytes.length): number {
  let crc = 0xffff;
  for (let at = 0; at < end; at++) crc = ((crc << 8) ^ TABLE[(crc >> 8) ^ bytes[at]!]!) & 0xffff;
  return crc;
}
