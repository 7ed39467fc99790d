import { existsSync } from 'node:fs';
import { mkdir } from 'node:fs/promises';
import type { AddressInfo } from 'node:net';
import { join, resolve } from 'node:path';
import { serve } from '@hono/node-server';
import { pino } from 'pino';
import { demoDocument } from '@cordel/demo';
import { createApi } from './app.ts';
import { pruneChanges } from './changes/queries.ts';
import { NoRoom, needRoomToStart, reserveOf, roomOn } from './disk/room.ts';
import { FolderInUse } from './db/lock.ts';
import { type Db, type OpenFolder, openFolder, openServer } from './db/client.ts';
import { listenOn } from './db/notices.ts';
import { Heavy } from './heavy/heavy.ts';
import { isHeavy } from './heavy/paths.ts';
import { removeUnfinished, stopPackages } from './handover/jobs.ts';
import { allowedHosts, isForUs, isForeignWrite } from './http/hosts.ts';
import { serveWeb } from './http/web.ts';
import { clearCutOff } from './exchange/import/clear.ts';
import { writeDocument } from './exchange/import/importProject.ts';
import { withoutValues } from './http/problem.ts';
import { listProjects } from './projects/queries.ts';

const here = import.meta.dirname;
const folder = resolve(process.env.CORDEL_DATA ?? '.cordel');
const webFolder = resolve(process.env.CORDEL_WEB ?? join(here, '../../web/dist'));
const migrations = join(here, '../drizzle');
/** How long answers under way may take once the server is told to stop. */
const MOST_TO_STOP_MS = 1000;
const MOST_TO_CLOSE_MS = 1900;
const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;

const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });

const NOT_OURS =
  'This server is asked under a name that it does not know: list it in CORDEL_HOSTS.';
const FOREIGN = 'A page of another site may not write here.';

const refusal = (status: number, message: string): Response =>
  new Response(`${message}\n`, {
    status,
    headers: { 'content-type': 'text/plain; charset=utf-8' },
  });

async function main(): Promise<void> {
  // Files of the record are for whoever runs the server.
  process.umask(0o077);
  const url = process.env.DATABASE_URL;
  const packages = join(folder, 'packages');
  await mkdir(packages, { recursive: true });
  const reserve = reserveOf(process.env.CORDEL_RESERVE_MB);
  const room = roomOn(folder, reserve);
  if (!url) await needRoomToStart(folder, !existsSync(join(folder, 'pg')));
  const open = url
    ? await openServer(url, migrations)
    : await openFolder(folder, migrations, () => {
        console.error(`Another process has taken over ${folder}: this one stops.`);
        process.exit(1);
      });
  await removeUnfinished(packages, url ? HOUR_MS : 0);
  if (process.argv.includes('--demo')) await loadDemo(open.db);
  await open.synced();
  const app = createApi({ ...open, log, folder: packages, room });
  const build = serveWeb(app as never, webFolder);
  const clear = (gone: Parameters<typeof clearCutOff>[1]) =>
    void clearCutOff(open.db, gone).catch((error: unknown) =>
      log.error(withoutValues(error), 'what an import left is still there'),
    );
  // The embedded database is nobody else's: whoever imported into it before is gone.
  clear(url ? 'silent' : 'all');
  // One that failed over its database may have left something too.
  setInterval(() => clear('silent'), MINUTE_MS).unref();
  setInterval(() => void pruneChanges(open.db).catch(() => undefined), HOUR_MS).unref();
  const heavy = new Heavy(
    { url: url ?? null, folder, reserve, logLevel: log.level },
    () =>
      'port' in open
        ? (open as OpenFolder).port()
        : Promise.reject(new Error('PostgreSQL is asked by its URL')),
    (owner) => clear({ owner }),
    (projectId) => open.notices.tell(projectId ?? ''),
  );
  const endListening = url ? listenOn(url, open.notices) : () => Promise.resolve();
  const allowed = allowedHosts(process.env.HOST, process.env.CORDEL_HOSTS);
  const server = serve(
    {
      fetch: async (request, env) => {
        if (!isForUs(request.headers.get('host'), allowed)) return refusal(421, NOT_OURS);
        if (isForeignWrite(request.method, request.headers)) return refusal(403, FOREIGN);
        const isLong = isHeavy(request.method, new URL(request.url).pathname);
        const response = await (isLong ? heavy.fetch(request) : app.fetch(request, env));
        // Pages that are open find out by it that there is a newer one.
        if (build) response.headers.set('x-cordel-build', build);
        return response;
      },
      port: Number(process.env.PORT ?? 8044),
      // Nobody signs in yet: other machines reach it only where that was asked for.
      hostname: process.env.HOST ?? '127.0.0.1',
    },
    (info) => {
      console.log(
        `Cordel is at http://localhost:${(info as AddressInfo).port}  (data: ${url ? 'PostgreSQL' : folder})`,
      );
      heavy.warm();
    },
  );
  server.on('error', async (error) => {
    console.error(
      (error as NodeJS.ErrnoException).code === 'EADDRINUSE'
        ? `Port ${process.env.PORT ?? 8044} is taken: set PORT to another.`
        : error,
    );
    await open.close();
    process.exit(1);
  });
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    const noPackages = stopPackages();
    // Answer what has come in, then close the database: what was acknowledged is kept.
    await new Promise<void>((done) => {
      server.close(() => done());
      if ('closeIdleConnections' in server) server.closeIdleConnections();
      // Streams never end by themselves: what is still open then is cut.
      setTimeout(() => {
        if ('closeAllConnections' in server) server.closeAllConnections();
        done();
      }, MOST_TO_STOP_MS).unref();
    });
    // Whatever it waits for, a full disk say: what was acknowledged is on the disk already.
    setTimeout(() => process.exit(1), MOST_TO_CLOSE_MS).unref();
    await noPackages;
    await heavy.close();
    await endListening();
    await open.close();
    process.exit(0);
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
}

/** The demo is loaded once: a folder that has any project stays as it is. */
async function loadDemo(db: Db): Promise<void> {
  if ((await listProjects(db)).length > 0) return;
  await writeDocument(db, demoDocument(new Date()));
}

main().catch((error: unknown) => {
  console.error(error instanceof FolderInUse || error instanceof NoRoom ? error.message : error);
  process.exit(1);
});
