import { DrizzleQueryError } from 'drizzle-orm';
import { EngineStopped } from './embedded/portEngine.ts';
import { databaseCode } from './retry.ts';

/** PostgreSQL's codes of a server that starts, stops or has no connection left (appendix A, classes 08, 53 and 57). */
const AWAY = /^(08...|53300|57P0[1-5])$/;
/** What the system says of a connection. */
const NO_CONNECTION = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ENOENT',
  'ENOTFOUND',
  'EAI_AGAIN',
  'ETIMEDOUT',
  'EHOSTUNREACH',
]);

/** Whether an error means that the database cannot be reached for now, and has not refused anything. */
export function isUnreachable(error: unknown): boolean {
  const code = databaseCode(error);
  if (code !== undefined) return AWAY.test(code);
  for (let at = error; at instanceof Error; at = at.cause) {
    if (at instanceof EngineStopped) return true;
    if (NO_CONNECTION.has((at as NodeJS.ErrnoException).code ?? '')) return true;
  }
  // The client's own words for a connection that broke have no code: what the database says always has one.
  return error instanceof DrizzleQueryError;
}
