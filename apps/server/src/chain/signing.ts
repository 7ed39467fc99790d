import {
  type KeyObject,
  createPrivateKey,
  createPublicKey,
  generateKeyPairSync,
  sign,
  verify,
} from 'node:crypto';
import { type Checkpoint, checkpointText } from '@cordel/core/close';
import { serverKey } from '../accounts/keys.ts';
import type { Db } from '../db/client.ts';

/** The server's key for checkpoints, made at its first one: Ed25519 (RFC 8032), PKCS #8 as base 64. */
export const checkpointKey = (db: Db): Promise<string> =>
  serverKey(db, 'checkpoints', () =>
    generateKeyPairSync('ed25519')
      .privateKey.export({ type: 'pkcs8', format: 'der' })
      .toString('base64'),
  );

const keyIn = (text: string): KeyObject =>
  createPrivateKey({ key: Buffer.from(text, 'base64'), type: 'pkcs8', format: 'der' });

/** Whether a text is such a key. */
export function isCheckpointKey(text: string): boolean {
  try {
    return keyIn(text).asymmetricKeyType === 'ed25519';
  } catch {
    return false;
  }
}

/** Puts the server's name to a chain up to a link. */
export async function signCheckpoint(
  db: Db,
  told: Pick<Checkpoint, 'projectId' | 'number' | 'hash' | 'at'>,
): Promise<Checkpoint> {
  const key = keyIn(await checkpointKey(db));
  const publicKey = createPublicKey(key).export({ type: 'spki', format: 'der' }).toString('base64');
  const unsigned = { ...told, publicKey, signature: '' };
  const text = Buffer.from(checkpointText(unsigned));
  return { ...unsigned, signature: sign(null, text, key).toString('base64') };
}

/** Whether a checkpoint's signature is of the key that it names. */
export function isSigned(checkpoint: Checkpoint): boolean {
  try {
    const key = createPublicKey({
      key: Buffer.from(checkpoint.publicKey, 'base64'),
      type: 'spki',
      format: 'der',
    });
    const text = Buffer.from(checkpointText(checkpoint));
    return verify(null, text, key, Buffer.from(checkpoint.signature, 'base64'));
  } catch {
    return false;
  }
}
