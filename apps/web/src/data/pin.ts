import { keep, keptNow, readKept } from './storage';

/** PINs of the people who share this device, as something made of each: what they are is not kept. */
const KEY = 'cordel.pins';

/** Rounds of PBKDF2. Source: OWASP Password Storage Cheat Sheet (HMAC-SHA-256). */
const ROUNDS = 600_000;

interface HeldPin {
  salt: string;
  made: string;
}

const held = (): Record<string, HeldPin> => readKept(keptNow(KEY), {});

const hex = (bytes: ArrayBuffer | Uint8Array): string =>
  [...new Uint8Array(bytes)].map((byte) => byte.toString(16).padStart(2, '0')).join('');

/** Null where the browser has no cryptography: the page came over plain http. */
async function madeOf(pin: string, salt: string): Promise<string | null> {
  if (!globalThis.crypto?.subtle) return null;
  const text = new TextEncoder();
  const key = await crypto.subtle.importKey('raw', text.encode(pin), 'PBKDF2', false, [
    'deriveBits',
  ]);
  const bits = await crypto.subtle.deriveBits(
    { name: 'PBKDF2', hash: 'SHA-256', salt: text.encode(salt), iterations: ROUNDS },
    key,
    256,
  );
  return hex(bits);
}

/** Keeps a PIN that the server has taken, for turns without a connection. */
export async function keepPin(personId: string, pin: string | null): Promise<void> {
  const { [personId]: _old, ...others } = held();
  const salt = hex(crypto.getRandomValues(new Uint8Array(16)));
  const made = pin === null ? null : await madeOf(pin, salt);
  keep(KEY, JSON.stringify(made === null ? others : { ...others, [personId]: { salt, made } }));
}

/** Whether a PIN is a person's, as far as this device knows; null where it does not know. */
export async function isPin(personId: string, pin: string): Promise<boolean | null> {
  const own = held()[personId];
  if (!own) return null;
  const made = await madeOf(pin, own.salt);
  return made === null ? null : made === own.made;
}
