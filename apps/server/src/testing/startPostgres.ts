import { type Postgres, startPostgres } from './postgres.ts';

export interface WithPostgres {
  cordelPostgres?: Postgres;
}

/** Starts the PostgreSQL that the tests run on, before all of them. */
export default async function start(): Promise<void> {
  const postgres = await startPostgres();
  (globalThis as WithPostgres).cordelPostgres = postgres;
  process.env.CORDEL_TEST_POSTGRES = postgres.folder;
}
