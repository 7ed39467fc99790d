import { openServer } from '../db/client.ts';
import { MIGRATIONS } from './madeDatabase.ts';
import pack from './pack.mjs';
import { type Postgres, WITH_TABLES, startPostgres } from './postgres.ts';

export interface WithPostgres {
  cordelPostgres?: Postgres;
}

/** Starts the PostgreSQL that the tests run on, before all of them. */
export default async function start(): Promise<void> {
  const [postgres] = await Promise.all([startPostgres(), pack()]);
  (globalThis as WithPostgres).cordelPostgres = postgres;
  const made = await openServer(await postgres.newDatabase(WITH_TABLES), MIGRATIONS);
  await made.close();
  process.env.CORDEL_TEST_POSTGRES = postgres.folder;
}
