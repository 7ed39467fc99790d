import type { Db } from './client.ts';

/**
 * Does all that belongs to one command, or nothing of it: whoever sends it again after a cut is told that it is known, and
 * nothing of it may be missing then.
 */
export const inOneTransaction = <Result>(
  db: Db,
  work: (on: Db) => Promise<Result>,
): Promise<Result> => db.transaction((tx) => work(tx as unknown as Db));
