import { existsSync } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { openFolder, openServer } from './db/client.ts';
import { FolderInUse } from './db/lock.ts';
import { NoRoom, needRoomToStart } from './disk/room.ts';
import { CannotStart, readListening } from './http/listening.ts';

const MIGRATIONS = join(import.meta.dirname, '../drizzle');

async function main(): Promise<void> {
  // Files of the record are for whoever runs the server.
  process.umask(0o077);
  const isDemo = process.argv.includes('--demo');
  // The demo is for whoever sits before it; for real work people sign in.
  const hasAccounts = process.argv.includes('--serve');
  const listening = readListening(process.env, hasAccounts, Date.now());
  const folder = resolve(process.env.CORDEL_DATA ?? '.cordel');
  const url = process.env.DATABASE_URL ?? null;
  await mkdir(join(folder, 'packages'), { recursive: true });
  if (!url) await needRoomToStart(folder, !existsSync(join(folder, 'pg')));
  const onLockLost = () => {
    console.error(`Another process has taken over ${folder}: this one stops.`);
    process.exit(1);
  };
  // The database opens on its own thread while the rest is loaded here.
  const [open, { run }] = await Promise.all([
    url ? openServer(url, MIGRATIONS) : openFolder(folder, MIGRATIONS, onLockLost),
    import('./run.ts'),
  ]);
  await run(open, { isDemo, hasAccounts, listening, folder, url });
}

main().catch((error: unknown) => {
  const isTold =
    error instanceof FolderInUse || error instanceof NoRoom || error instanceof CannotStart;
  console.error(isTold ? error.message : error);
  process.exit(1);
});
