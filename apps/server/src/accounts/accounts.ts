import type { Db } from '../db/client.ts';
import { type Auth, createAuth } from './auth.ts';
import { newSecret, serverKey } from './keys.ts';

/** Accounts of a server on which people sign in. */
export interface Accounts {
  /** Where people reach the server: `https://splices.example`. */
  origin: string;
  auth(): Promise<Auth>;
}

export function openAccounts(db: Db, origin: string): Accounts {
  let opened: Promise<Auth> | null = null;
  return {
    origin,
    auth: () =>
      (opened ??= serverKey(db, 'sessions', newSecret).then(
        (secret) => createAuth({ db, secret, origin }),
        (error: unknown) => {
          // The next request tries again.
          opened = null;
          throw error;
        },
      )),
  };
}
