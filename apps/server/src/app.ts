import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { z } from '@hono/zod-openapi';
import { httpProblems as say } from '@cordel/text/server/http';
import { bodyLimit } from 'hono/body-limit';
import { compress } from 'hono/compress';
import { HTTPException } from 'hono/http-exception';
import { sql } from 'drizzle-orm';
import type { Logger } from 'pino';
import { forEveryone, route } from './accounts/access.ts';
import { openAccounts } from './accounts/accounts.ts';
import { authenticated } from './accounts/guard.ts';
import { accountRoutes } from './accounts/routes.ts';
import { backupRoutes } from './backup/routes.ts';
import { benchRoutes } from './bench/routes.ts';
import { Feeds } from './changes/feeds.ts';
import { chainRoutes } from './chain/routes.ts';
import { changeRoutes } from './changes/routes.ts';
import { cableRoutes } from './cables/routes.ts';
import { CLOCK_HEADER, clockOffMs } from './clocks/correct.ts';
import { closingRoutes } from './closing/routes.ts';
import { routeImportRoutes } from './closures/routeImport.ts';
import { closureRoutes } from './closures/routes.ts';
import { ENDLESS_ROOM, type Room } from './disk/room.ts';
import { type Db, rowsOf } from './db/client.ts';
import { DATABASE_HEADER, databaseId } from './db/databaseId.ts';
import { Notices } from './db/notices.ts';
import { conflictRoutes } from './conflicts/routes.ts';
import { evidenceRoutes } from './evidence/routes.ts';
import { exchangeRoutes } from './exchange/routes.ts';
import { handoverRoutes } from './handover/routes.ts';
import { databaseStore, folderStore } from './handover/store.ts';
import { Problem, answer, fromDatabase, withoutValues } from './http/problem.ts';
import { answers, router } from './http/router.ts';
import { refuseBadText } from './http/text.ts';
import { JSON_BOUNDS } from './http/bounds.ts';
import { isProbe, isReading } from './http/hosts.ts';
import { nameSchemas } from './http/names.ts';
import { ledgerRoutes } from './ledger/routes.ts';
import { type Metrics, observed } from './metrics/metrics.ts';
import { planRoutes } from './plans/routes.ts';
import { prepRoutes } from './prep/routes.ts';
import { projectRoutes } from './projects/routes.ts';
import { removalRoutes } from './removal/routes.ts';
import { schemeRoutes } from './schemes/routes.ts';
import { spliceRoutes } from './splices/routes.ts';
import { takeAlongRoutes } from './takeAlong/routes.ts';
import { fiberProofRoutes } from './fiberProof/routes.ts';
import { linkRoutes } from './links/routes.ts';
import { traceRoutes } from './traces/routes.ts';
import { uploadRoutes } from './uploads/routes.ts';

const MEGABYTE = 1024 * 1024;

/** Largest bodies: a few pages of evidence, and whole lists or projects. */
export const BODY_LIMITS = {
  usual: 2 * MEGABYTE,
  whole: 128 * MEGABYTE,
};
const WHOLE = /\/(splice-list|traces|geojson)$/;
/** Read as it comes, and bounded by whoever reads it: it may be larger than a text may be. */
const DOCUMENT = /\/documents$/;

const kindOf = (path: string): keyof typeof BODY_LIMITS | 'document' =>
  DOCUMENT.test(path) ? 'document' : WHOLE.test(path) ? 'whole' : 'usual';

const live = route(forEveryone, {
  method: 'get',
  path: '/live',
  summary: 'Whether the process answers; what it stands on is not asked',
  responses: answers(z.object({ status: z.literal('ok') }), 'It answers'),
});

const health = route(forEveryone, {
  method: 'get',
  path: '/health',
  summary: 'Whether the server is ready: it answers and reaches its database',
  responses: answers(z.object({ status: z.literal('ok') }), 'In good health'),
});

interface ApiSetting {
  db: Db;
  /** Told whenever something was written. */
  notices?: Notices;
  /** Resolves once all that was committed by now outlives a power cut. */
  synced?: () => Promise<void>;
  log?: Logger;
  /** Where files lie that can be made again: packages. */
  folder?: string;
  /** Whether other processes stand before the same database. */
  isShared?: boolean;
  /** On the disk that the data lies on. */
  room?: Room;
  /** Names the process, for work that it may leave half done. */
  owner?: string;
  /** Where people reach the server, as they sign in on it; null where everybody may do all without. */
  origin?: string | null;
  /** Counts what is asked. */
  metrics?: Metrics | null;
}

/** The API over a database. It keeps no state of its own. */
export function createApi({
  db,
  notices = new Notices(),
  synced = () => Promise.resolve(),
  log,
  folder = join(tmpdir(), 'cordel-packages'),
  isShared = false,
  room = ENDLESS_ROOM,
  owner = 'this process',
  origin = null,
  metrics = null,
}: ApiSetting) {
  const app = router();
  const accounts = origin === null ? null : openAccounts(db, origin);
  const idOfDatabase = databaseId(db);
  const store = isShared ? databaseStore(db) : folderStore(folder);
  const limit = (maxSize: number) =>
    bodyLimit({
      maxSize,
      onError: () => {
        throw new Problem(413, say('bodyTooLarge', { megabytes: maxSize / MEGABYTE }));
      },
    });
  const limits = {
    usual: limit(BODY_LIMITS.usual),
    whole: limit(BODY_LIMITS.whole),
  };
  app.use('/api/*', async (c, next) => {
    // Before a backup, say, has the database for itself.
    const database = isProbe(c.req.path) ? null : await idOfDatabase();
    // A refusal before the route is reached says too who made it.
    const sign = () => c.header(DATABASE_HEADER, database ?? undefined);
    sign();
    await next();
    sign();
  });
  app.use('/api/*', (c, next) => {
    const kind = kindOf(c.req.path);
    return kind === 'document' ? next() : limits[kind](c, next);
  });
  app.use('/api/*', compress({ threshold: 4096 }));
  app.use('/api/*', observed(metrics, log));
  app.use('/api/*', (c, next) => {
    c.set('db', db);
    // Before the body is read, which may take its time.
    c.set('clockOffMs', clockOffMs(c.req.header(CLOCK_HEADER)));
    return next();
  });
  app.use('/api/*', authenticated(accounts));
  app.use('/api/*', async (c, next) => {
    // A write takes its own length in the log, in the tables and in their indexes.
    if (!isReading(c.req.method)) await room.need(3 * Number(c.req.header('content-length') ?? 0));
    const kind = kindOf(c.req.path);
    await refuseBadText(c, kind === 'document' ? null : JSON_BOUNDS[kind]);
    await next();
    // What is acknowledged is on the disk.
    if (!isReading(c.req.method) && !c.error) await synced();
    c.header('cache-control', 'no-store');
    c.header('x-content-type-options', 'nosniff');
    // Nothing of an answer runs or is shown inside another page; a browser's own viewer shows PDF.
    const isPdf = c.res.headers.get('content-type') === 'application/pdf';
    c.header(
      'content-security-policy',
      `${isPdf ? '' : "default-src 'none'; "}frame-ancestors 'none'`,
    );
  });
  app.onError((error, c) => {
    if (error instanceof Problem) return answer(c, error);
    if (error instanceof HTTPException)
      return answer(
        c,
        new Problem(
          400,
          say('notJson', { message: error.message || 'The request is not readable' }),
        ),
      );
    const known = fromDatabase(error);
    if (known) return answer(c, known);
    log?.error(withoutValues(error), 'request failed');
    return answer(c, new Problem(500, say('serverError')));
  });
  const logged = (what: string) => (error: unknown) => {
    if (!(error instanceof Problem) && !fromDatabase(error)) log?.error(withoutValues(error), what);
  };
  const routed = app
    .route('/api', accountRoutes(accounts))
    .route('/api', backupRoutes)
    .route('/api', chainRoutes)
    .route('/api', conflictRoutes)
    .route('/api', projectRoutes)
    .route('/api', schemeRoutes)
    .route('/api', cableRoutes)
    .route('/api', closureRoutes)
    .route('/api', takeAlongRoutes)
    .route('/api', routeImportRoutes)
    .route('/api', closingRoutes)
    .route('/api', planRoutes)
    .route('/api', prepRoutes)
    .route('/api', removalRoutes)
    .route('/api', spliceRoutes)
    .route('/api', evidenceRoutes)
    .route('/api', changeRoutes(new Feeds(db, notices)))
    .route('/api', benchRoutes)
    .route('/api', ledgerRoutes)
    .route('/api', traceRoutes)
    .route('/api', linkRoutes)
    .route('/api', fiberProofRoutes)
    .route('/api', uploadRoutes)
    .route('/api', exchangeRoutes({ folder, room, owner, onFailure: logged('an import failed') }))
    .route('/api', handoverRoutes({ folder, room, store, onFailure: logged('a package failed') }))
    .route(
      '/api',
      router()
        .openapi(live, (c) => c.json({ status: 'ok' as const }, 200))
        .openapi(health, async (c) => {
          await rowsOf(c.var.db, sql`select 1`);
          return c.json({ status: 'ok' as const }, 200);
        }),
    );
  nameSchemas();
  routed.doc31('/api/openapi.json', {
    openapi: '3.1.0',
    info: {
      title: 'Cordel',
      version: '0.1.0',
      description: 'Errors are problem documents as in RFC 9457.',
    },
  });
  routed.all('/api/*', () => {
    throw new Problem(404, say('noSuchAddress'));
  });
  return routed;
}
