import { sha256 } from '@noble/hashes/sha2';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils';
import canonicalize from 'canonicalize';

/**
 * A record in canonical form: the same text for the same content, in whatever order its keys stand.
 * Source: RFC 8785, JSON Canonicalization Scheme.
 * @throws Error where the value is none that JSON has
 */
export function canonicalText(value: unknown): string {
  const text = canonicalize(value);
  if (text === undefined) throw new Error('This is nothing that JSON has.');
  return text;
}

/** SHA-256 of a text as UTF-8, or of bytes, as hexadecimal digits. */
export const digestOf = (content: string | Uint8Array): string =>
  bytesToHex(sha256(typeof content === 'string' ? utf8ToBytes(content) : content));
