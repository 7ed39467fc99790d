import { hash, verify } from '@node-rs/argon2';
import { accountsProblems as say } from '@cordel/text/server/accounts';
import { Problem } from '../http/problem.ts';

/**
 * Memory, passes and lanes of argon2id. Source: OWASP Password Storage Cheat Sheet (19 MiB, 2 passes, 1 lane).
 */
const ARGON2 = { memoryCost: 19 * 1024, timeCost: 2, parallelism: 1 };

/** How many may wait for their turn: more would wait for seconds, while the machine does nothing else. */
const MOST_WAITING = 20;

let waiting = 0;
let last: Promise<unknown> = Promise.resolve();

/** One at a time, on a thread beside: whoever guesses passwords takes one core at most, and recording has the rest. */
function inTurn<Result>(work: () => Promise<Result>): Promise<Result> {
  if (waiting >= MOST_WAITING) return Promise.reject(new Problem(429, say('manySignIn')));
  waiting++;
  const mine = last.then(work).finally(() => waiting--);
  last = mine.catch(() => undefined);
  return mine;
}

export const hashSecret = (secret: string): Promise<string> => inTurn(() => hash(secret, ARGON2));

/** @throws Problem 429 where too many wait */
export const isSecret = (hashed: string, secret: string): Promise<boolean> =>
  inTurn(() => verify(hashed, secret));
