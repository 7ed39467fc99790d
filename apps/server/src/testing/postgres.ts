import { execFileSync } from 'node:child_process';
import { chmod, chown, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';

/** The database that has the tables and nothing in them: those of tests begin as copies of it. */
export const WITH_TABLES = 'with_tables';

/** A PostgreSQL server of a test's own, on a socket in its folder. */
export interface Postgres {
  /** Where its socket lies. */
  folder: string;
  /** The URL of an empty database. */
  newDatabase(name: string, template?: string): Promise<string>;
  /** Stops it, hard where asked to, and starts it again. */
  restart(mode: 'fast' | 'immediate'): void;
  /** Breaks every connection of a database. */
  breakConnections(name: string): Promise<number>;
  remove(): Promise<void>;
}

/** URL of a database whose server has its socket in a folder. */
const urlOf = (folder: string, database: string): string =>
  `postgresql://cordel@/${database}?host=${folder}`;

async function asked<Row extends pg.QueryResultRow>(
  folder: string,
  statement: string,
  values: unknown[] = [],
): Promise<Row[]> {
  const client = new pg.Client({ connectionString: urlOf(folder, 'postgres') });
  await client.connect();
  try {
    return (await client.query<Row>(statement, values)).rows;
  } finally {
    await client.end();
  }
}

/** Where the PostgreSQL of these tests has its socket, if they run on one. */
export const postgresFolder = (): string | undefined =>
  (globalThis as { CORDEL_ON_POSTGRES?: boolean }).CORDEL_ON_POSTGRES
    ? process.env.CORDEL_TEST_POSTGRES
    : undefined;

/** Makes a database, empty or a copy of another, and gives its URL. */
export async function newDatabase(
  folder: string,
  name: string,
  template = 'template1',
): Promise<string> {
  await asked(folder, `create database ${name} template ${template}`);
  return urlOf(folder, name);
}

/** PostgreSQL does not run as root: a user of its own comes with it. */
function owner(): { uid: number; gid: number } | null {
  if (process.getuid?.() !== 0) return null;
  const id = (flag: string) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }));
  return { uid: id('-u'), gid: id('-g') };
}

export async function startPostgres(): Promise<Postgres> {
  const programs = process.env.POSTGRES_BIN || '/usr/lib/postgresql/15/bin';
  const folder = await mkdtemp(join(tmpdir(), 'cordel-postgres-'));
  const user = owner();
  if (user) await chown(folder, user.uid, user.gid);
  await chmod(folder, 0o755);
  const call = (program: string, args: string[]) =>
    execFileSync(join(programs, program), args, {
      ...(user ?? {}),
      stdio: 'ignore',
      cwd: folder,
      env: { ...process.env, LC_ALL: 'C.UTF-8' },
    });
  const data = join(folder, 'data');
  call('initdb', ['-D', data, '-U', 'cordel', '--auth=trust', '-E', 'UTF8']);
  const control = (...args: string[]) =>
    call('pg_ctl', [
      '-D',
      data,
      '-w',
      '-l',
      join(folder, 'log'),
      '-o',
      `-k ${folder} -h ''`,
      ...args,
    ]);
  control('start');
  return {
    folder,
    newDatabase: (name, template) => newDatabase(folder, name, template),
    restart: (mode) => control('restart', '-m', mode),
    breakConnections: async (name) =>
      (
        await asked(
          folder,
          'select pg_terminate_backend(pid) from pg_stat_activity where datname = $1',
          [name],
        )
      ).length,
    remove: async () => {
      control('stop', '-m', 'immediate');
      await rm(folder, { recursive: true, force: true });
    },
  };
}
