import { type Server as SecureServer, createServer as createSecureServer } from 'node:https';
import type { AddressInfo } from 'node:net';
import { join, resolve } from 'node:path';
import { Readable } from 'node:stream';
import { type ServerType, serve } from '@hono/node-server';
import { pino } from 'pino';
import { startWords as say } from '@cordel/text/server/start';
import { backupKeyIn, keepBackupKey } from './accounts/backupKey.ts';
import { firstStart } from './accounts/invitations.ts';
import { createApi } from './app.ts';
import { keepChains } from './chain/keepChains.ts';
import { backUpDay } from './backup/schedule.ts';
import { pruneChanges } from './changes/queries.ts';
import type { Db, OpenDb, OpenFolder } from './db/client.ts';
import { listenOn } from './db/notices.ts';
import { reserveOf, roomOn } from './disk/room.ts';
import { clearCutOff } from './exchange/import/clear.ts';
import { writeDocument } from './exchange/import/importProject.ts';
import { removeUnfinished, stopPackages } from './handover/jobs.ts';
import { Heavy } from './heavy/heavy.ts';
import { isHeavy } from './heavy/paths.ts';
import { allowedHosts, isForUs, isForeignWrite } from './http/hosts.ts';
import {
  type Certificate,
  CannotStart,
  type Listening,
  isOnLoopback,
  readCertificate,
} from './http/listening.ts';
import { withoutValues } from './http/problem.ts';
import { serveWeb } from './http/web.ts';
import { Metrics, serveMetrics } from './metrics/metrics.ts';
import { listProjects } from './projects/queries.ts';

const WEB = resolve(process.env.CORDEL_WEB ?? join(import.meta.dirname, '../../web/dist'));

/** How long answers under way may take once the server is told to stop. */
const MOST_TO_ANSWER_MS = 1000;
/** How long it may take after that: what stops servers kills them after ten seconds, as a rule. */
const MOST_TO_CLOSE_MS = 6000;
const MINUTE_MS = 60_000;
const HOUR_MS = 60 * MINUTE_MS;
const TWO_WEEKS_MS = 14 * 24 * HOUR_MS;

const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });

const NOT_OURS =
  'This server is asked under a name that it does not know: list it in CORDEL_HOSTS.';
const FOREIGN = 'A page of another site may not write here.';

const refusal = (status: number, message: string): Response =>
  new Response(`${message}\n`, {
    status,
    headers: { 'content-type': 'text/plain; charset=utf-8' },
  });

/** How a server was asked to run. */
export interface Run {
  /** Loads the demo where there is no project yet. */
  isDemo: boolean;
  /** Whether people sign in. */
  hasAccounts: boolean;
  listening: Listening;
  /** The data folder. */
  folder: string;
  /** Of the PostgreSQL server; null with the embedded database. */
  url: string | null;
}

/** Serves the API and the web app from an open database, until the process is told to stop. */
export async function run(open: OpenDb | OpenFolder, asked: Run): Promise<void> {
  const { isDemo, hasAccounts, listening, folder, url } = asked;
  const { origin } = listening;
  const packages = join(folder, 'packages');
  const reserve = reserveOf(process.env.CORDEL_RESERVE_MB);
  await removeUnfinished(packages, url ? HOUR_MS : 0);
  if (isDemo) await loadDemo(open.db);
  const firstSecret = hasAccounts ? await firstStart(open.db) : null;
  if (hasAccounts) await keepBackupKey(open.db, folder);
  await open.synced();
  const metricsPort = Number(process.env.CORDEL_METRICS_PORT ?? 0);
  const metrics = metricsPort > 0 ? new Metrics() : null;
  const metricsServer = metrics && serveMetrics(metrics, metricsPort);
  if (metrics) open.notices.listen(() => metrics.written.inc());
  const room = roomOn(folder, reserve);
  const app = createApi({ ...open, log, folder: packages, room, origin, metrics });
  const build = serveWeb(app as never, WEB, origin?.startsWith('https:'));
  const clear = keepCleared(open.db, url !== null);
  setInterval(() => void pruneChanges(open.db).catch(() => undefined), HOUR_MS).unref();
  const heavy = new Heavy(
    { url, folder, reserve, logLevel: log.level, origin },
    () =>
      'port' in open ? open.port() : Promise.reject(new Error('PostgreSQL is asked by its URL')),
    (owner) => clear({ owner }),
    (projectId) => open.notices.tell(projectId ?? ''),
  );
  await backUpDaily(folder, heavy);
  const chains = keepChains(open.db, open.notices, (error) =>
    log.error(withoutValues(error), 'what is new in a record is not chained yet'),
  );
  const endListening = url ? listenOn(url, open.notices) : () => Promise.resolve();
  const answer = answering(listening, (request, env) =>
    isHeavy(request.method, new URL(request.url).pathname)
      ? heavy.fetch(request)
      : app.fetch(request, env as never),
  );
  const server = serve(
    {
      fetch: async (request, env) => {
        const response = await answer(request, env);
        // Pages that are open find out by it that there is a newer one.
        if (build) response.headers.set('x-cordel-build', build);
        return response;
      },
      port: listening.port,
      hostname: listening.hostname,
      ...(listening.tls && {
        createServer: createSecureServer,
        serverOptions: { cert: listening.tls.cert, key: listening.tls.key },
      }),
    },
    (info) => {
      sayAddress(info as AddressInfo, asked, firstSecret);
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
  if (listening.tls) renewCertificate(server as SecureServer, listening.tls);
  stopOnSignal(server, async (noPackages) => {
    await noPackages;
    metricsServer?.close();
    chains.end();
    await heavy.close();
    await endListening();
    await open.close();
  });
}

/** Answers requests that are meant for this server, and refuses others. */
function answering(
  { origin }: Listening,
  answer: (request: Request, env: unknown) => Response | Promise<Response>,
): (request: Request, env: unknown) => Promise<Response> {
  const hosts = `${process.env.CORDEL_HOSTS ?? ''},${origin ? new URL(origin).hostname : ''}`;
  const allowed = allowedHosts(process.env.HOST, hosts);
  return async (request, env) => {
    if (!isForUs(request.headers.get('host'), allowed)) return refusal(421, NOT_OURS);
    if (isForeignWrite(request.method, request.headers)) return refusal(403, FOREIGN);
    return answer(request, env);
  };
}

/** Prints where the server is, and what whoever started it should know. */
function sayAddress(
  { port }: AddressInfo,
  { listening: { origin, hostname }, folder, url }: Run,
  firstSecret: string | null,
): void {
  const data = url ? 'PostgreSQL' : folder;
  console.log(`Cordel is at ${origin ?? `http://localhost:${port}`}  (data: ${data})`);
  if (firstSecret) console.log(say('firstStart', { link: `${origin}/join#${firstSecret}` }));
  if (origin?.startsWith('http:') && !isOnLoopback(hostname)) console.log(say('plainHttp'));
}

/** Clears what imports left that were cut off. @returns clears what one of them left, or all of them */
function keepCleared(db: Db, isShared: boolean) {
  const clear = (gone: Parameters<typeof clearCutOff>[1]) =>
    void clearCutOff(db, gone).catch((error: unknown) =>
      log.error(withoutValues(error), 'what an import left is still there'),
    );
  // The embedded database is nobody else's: whoever imported into it before is gone.
  clear(isShared ? 'silent' : 'all');
  // One that failed over its database may have left something too.
  setInterval(() => clear('silent'), MINUTE_MS).unref();
  return clear;
}

/** Backs up each day into the folder that the environment names, if it does. */
async function backUpDaily(folder: string, heavy: Heavy): Promise<void> {
  if (!process.env.CORDEL_BACKUP) return;
  const schedule = {
    folder: resolve(process.env.CORDEL_BACKUP),
    days: Number(process.env.CORDEL_BACKUP_DAYS ?? 14),
  };
  const headers = { authorization: `Bearer ${(await backupKeyIn(folder)) ?? ''}` };
  // On the thread for long work: nobody who records waits for it.
  const read = async () => {
    const answer = await heavy.fetch(new Request('http://localhost/api/backup', { headers }));
    if (!answer.ok || !answer.body) throw new Error(`The backup was answered ${answer.status}`);
    return Readable.fromWeb(answer.body as never);
  };
  const backUp = () =>
    void backUpDay(schedule, read, new Date()).catch((error: unknown) =>
      log.error(withoutValues(error), 'the backup of today is not made'),
    );
  backUp();
  setInterval(backUp, HOUR_MS).unref();
}

/**
 * Ends the process once it is told to: it answers what has come in, then closes all.
 * @param close closes what is open; given what resolves once no package is being made
 */
function stopOnSignal(
  server: ServerType,
  close: (noPackages: Promise<void>) => Promise<void>,
): void {
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    const noPackages = stopPackages();
    await new Promise<void>((done) => {
      server.close(() => done());
      if ('closeIdleConnections' in server) server.closeIdleConnections();
      // Streams never end by themselves: what is still open then is cut.
      setTimeout(() => {
        if ('closeAllConnections' in server) server.closeAllConnections();
        done();
      }, MOST_TO_ANSWER_MS).unref();
    });
    // Whatever it waits for, a full disk say: what was acknowledged is on the disk already.
    setTimeout(() => process.exit(1), MOST_TO_CLOSE_MS).unref();
    await close(noPackages);
    process.exit(0);
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
}

/** Takes a new certificate up once it lies where the old one does, and says when one is about to end. */
function renewCertificate(server: SecureServer, first: Certificate): void {
  let held = first;
  const look = () => {
    try {
      const now = readCertificate(process.env, Date.now());
      if (now && now.cert !== held.cert) {
        held = now;
        server.setSecureContext({ cert: now.cert, key: now.key });
        console.log(say('certificateRead', { day: dayOf(now.until) }));
      }
    } catch (error) {
      console.error(error instanceof CannotStart ? error.message : error);
    }
    if (held.until - Date.now() < TWO_WEEKS_MS)
      console.error(say('certificateEnds', { day: dayOf(held.until) }));
  };
  look();
  setInterval(look, HOUR_MS).unref();
}

const dayOf = (ms: number): string => new Date(ms).toISOString().slice(0, 10);

/** The demo is loaded once: a folder that has any project stays as it is. */
async function loadDemo(db: Db): Promise<void> {
  if ((await listProjects(db)).length > 0) return;
  const { demoDocument } = await import('@cordel/demo');
  await writeDocument(db, demoDocument(new Date()));
}
