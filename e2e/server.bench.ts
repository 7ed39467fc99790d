import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';
import { type Server, readApi, startServer } from './app.ts';
import { attemptOn, evidenceOf, openSplices, record } from './evidence.ts';
import { type Figure, reportFigures } from './benchReport.ts';
import { type Postgres, startPostgres } from '../apps/server/src/testing/postgres.ts';

const WRITERS = 50;
const READERS = 10;
/** Splices that they work at. */
const SPLICES = 600;
const ROUNDS = Number(process.env.CORDEL_KILLS ?? 100);

const shareOf = (list: readonly number[], share: number): number =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(list.length * share))]!;

async function timed(
  work: () => Promise<Response>,
  times: number[],
  bad: number[],
): Promise<boolean> {
  const start = performance.now();
  const answer = await work();
  await answer.arrayBuffer();
  times.push(performance.now() - start);
  if (!answer.ok) bad.push(answer.status);
  return answer.ok;
}

/** How long a record takes when fifty write and ten read, against one alone; and whether any is lost. */
async function crowd(name: string, servers: readonly Server[], limit: number): Promise<Figure[]> {
  const { project, ids } = await openSplices(servers[0]!, SPLICES);
  const idle: number[] = [];
  const bad: number[] = [];
  const one = (index: number) => servers[index % servers.length]!;
  for (let count = 0; count < 300; count++) {
    const entry = attemptOn(ids[count % ids.length]!);
    await timed(() => record(one(count).url, [entry]), idle, bad);
  }
  const busy: number[] = [];
  const acknowledged: string[] = [];
  const end = Date.now() + 40_000;
  const writer = async (index: number) => {
    // People do not begin in the same instant; the first record of each opens its connection.
    await new Promise((resolve) => setTimeout(resolve, Math.random() * 2000));
    for (let round = 0; Date.now() < end; round++) {
      const entry = attemptOn(ids[(index * 12 + round) % ids.length]!);
      const times = round === 0 ? [] : busy;
      if (await timed(() => record(one(index).url, [entry]), times, bad))
        acknowledged.push(entry.id);
      // A splice takes minutes: a person who sends every two seconds is far busier than any.
      await new Promise((resolve) => setTimeout(resolve, 1500 + Math.random() * 1000));
    }
  };
  const reader = async (index: number) => {
    await new Promise((resolve) => setTimeout(resolve, Math.random() * 1000));
    while (Date.now() < end) {
      const answer = await fetch(`${one(index).url}/api/projects/${project}/ledger/closures`);
      await answer.arrayBuffer();
      if (!answer.ok) bad.push(answer.status);
      await new Promise((resolve) => setTimeout(resolve, 800 + Math.random() * 400));
    }
  };
  await Promise.all([
    ...Array.from({ length: WRITERS }, (_, index) => writer(index)),
    ...Array.from({ length: READERS }, (_, index) => reader(index)),
  ]);
  const kept = await evidenceOf(one(1), ids);
  const lost = acknowledged.filter((id) => !kept.has(id)).length;
  return [
    {
      name: `crowd-${name}`,
      value: shareOf(busy, 0.99) / shareOf(idle, 0.5),
      limit,
      unit: `times the idle median of ${shareOf(idle, 0.5).toFixed(1)} ms: the 99th percentile of ${busy.length} records by ${WRITERS} people, ${READERS} reading`,
    },
    {
      name: `crowd-${name}-lost`,
      value: lost + bad.length,
      limit: 0,
      unit: `of ${acknowledged.length} records lost or answered with an error`,
    },
  ];
}

/** Kills a server at random moments under the load of many; gives what was lost and how long a start takes. */
async function killed(name: string, start: () => Promise<Server>): Promise<Figure[]> {
  let server = await start();
  const { ids } = await openSplices(server, SPLICES);
  const acknowledged: string[] = [];
  let slowest = 0;
  for (let round = 0; round < ROUNDS; round++) {
    let over = false;
    const url = server.url;
    const writer = async (index: number) => {
      for (let count = 0; !over; count++) {
        const entry = attemptOn(ids[(index * 7 + count) % ids.length]!);
        const answer = await record(url, [entry]).catch(() => null);
        if (answer?.ok) acknowledged.push(entry.id);
      }
    };
    const writing = Array.from({ length: WRITERS }, (_, index) => writer(index));
    await new Promise((resolve) => setTimeout(resolve, 100 + Math.random() * 700));
    await server.stop('SIGKILL');
    over = true;
    await Promise.all(writing);
    const begun = performance.now();
    server = await start();
    await readApi(server, '/health');
    slowest = Math.max(slowest, performance.now() - begun);
  }
  const kept = await evidenceOf(server, ids);
  const lost = acknowledged.filter((id) => !kept.has(id)).length;
  await server.stop('SIGKILL');
  return [
    {
      name: `kill-${name}`,
      value: lost,
      limit: 0,
      unit: `of ${acknowledged.length} acknowledged records lost in ${ROUNDS} kills`,
    },
    {
      name: `restart-${name}`,
      value: slowest / 1000,
      limit: 3,
      unit: `s until it answered after a kill, the slowest of ${ROUNDS}`,
    },
  ];
}

/** What a hundred and fifty phones that listen cost who records. */
async function streams(server: Server): Promise<Figure[]> {
  const { project, ids } = await openSplices(server, SPLICES);
  const [alone, listened, bad]: [number[], number[], number[]] = [[], [], []];
  const measure = async (times: number[]) => {
    for (let count = 0; count < 200; count++)
      await timed(() => record(server.url, [attemptOn(ids[count % ids.length]!)]), times, bad);
  };
  await measure(alone);
  const stop = new AbortController();
  const path = `/api/projects/${project}/changes/stream`;
  await Promise.all(
    Array.from({ length: 150 }, () => fetch(`${server.url}${path}`, { signal: stop.signal })),
  );
  await measure(listened);
  stop.abort();
  return [
    {
      name: 'streams',
      value: shareOf(listened, 0.5) / shareOf(alone, 0.5),
      limit: 2,
      unit: 'times as long for a record while 150 streams are open',
    },
  ];
}

/** A line of 200 000 points and 3 000 closures beside it, as GeoJSON. */
function largeRoute(): string {
  let [lon, lat, heading] = [10, 47, 0];
  const points = Array.from({ length: 200_000 }, (_, at) => {
    heading += Math.sin(at * 12.9898) * 0.3;
    lon += Math.cos(heading) * 1e-5;
    lat += Math.sin(heading) * 1e-5;
    return [Number(lon.toFixed(7)), Number(lat.toFixed(7))];
  });
  const feature = (geometry: object, name: string) => ({
    type: 'Feature',
    properties: { name },
    geometry,
  });
  return JSON.stringify({
    type: 'FeatureCollection',
    features: [
      feature({ type: 'LineString', coordinates: points }, 'Line'),
      ...Array.from({ length: 3000 }, (_, at) =>
        feature({ type: 'Point', coordinates: points[at * 66] }, `Far ${at}`),
      ),
    ],
  });
}

/** How long others wait for a plain answer while the server has long work. */
async function longWork(server: Server): Promise<Figure[]> {
  const { project } = await openSplices(server, 1);
  const whole = await (await fetch(`${server.url}/api/projects/${project}/document.json`)).text();
  const closures = `[${'{},'.repeat(3_000_000)}{}]`;
  const hostile = JSON.stringify({ ...JSON.parse(whole), closures: 'HERE' }).replace(
    '"HERE"',
    closures,
  );
  const route = JSON.stringify({ importId: uuid(), text: largeRoute() });
  const send = (path: string, body: string) =>
    fetch(`${server.url}/api${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    });
  const waits: number[] = [];
  let over = false;
  const watch = (async () => {
    while (!over) {
      await timed(() => fetch(`${server.url}/favicon.ico`), waits, []);
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
  })();
  const statuses = [
    (await send('/documents', hostile)).status,
    (await send('/documents', `{"deep":${'['.repeat(60_000_000)}`)).status,
    (await send(`/projects/${project}/geojson`, route)).status,
    (await fetch(`${server.url}/api/projects/${project}/document.json`)).status,
  ];
  over = true;
  await watch;
  const expected = [422, 413, 200, 200];
  return [
    {
      name: 'long-work',
      value: shareOf(waits, 0.999),
      limit: 100,
      unit: `ms that others waited at most, but for one in a thousand of ${waits.length}, while three million empty closures, 60 MB of brackets, a route of 200 000 points and an export were at work`,
    },
    {
      name: 'long-work-answers',
      value: statuses.filter((status, index) => status !== expected[index]).length,
      limit: 0,
      unit: `answers that were not ${expected.join(', ')}`,
    },
  ];
}

const wanted = process.argv.slice(2);
const isWanted = (name: string) =>
  wanted.length === 0 || wanted.some((one) => one.startsWith(name));

async function embedded(): Promise<Figure[]> {
  const figures: Figure[] = [];
  const folder = await mkdtemp(join(tmpdir(), 'cordel-bench-'));
  if (isWanted('crowd-embedded')) {
    const server = await startServer({ folder, demo: true });
    figures.push(...(await crowd('embedded', [server], 20)));
    await server.stop();
  }
  if (isWanted('streams') || isWanted('long-work')) {
    const server = await startServer({ folder, demo: true });
    figures.push(...(await streams(server)), ...(await longWork(server)));
    await server.stop();
  }
  if (isWanted('kill-embedded') || isWanted('restart-embedded'))
    figures.push(...(await killed('embedded', () => startServer({ folder, demo: true }))));
  await rm(folder, { recursive: true, force: true });
  return figures;
}

async function onPostgres(postgres: Postgres): Promise<Figure[]> {
  const figures: Figure[] = [];
  if (isWanted('crowd-postgres')) {
    const DATABASE_URL = await postgres.newDatabase('crowd');
    const servers = await Promise.all(
      [true, false].map((demo) => startServer({ demo, env: { DATABASE_URL } })),
    );
    figures.push(...(await crowd('postgres', servers, 10)));
    await Promise.all(servers.map((server) => server.stop()));
  }
  if (isWanted('kill-postgres') || isWanted('restart-postgres')) {
    const DATABASE_URL = await postgres.newDatabase('killed');
    figures.push(
      ...(await killed('postgres', () => startServer({ demo: true, env: { DATABASE_URL } }))),
    );
  }
  return figures;
}

async function main(): Promise<never> {
  const figures = await embedded();
  const postgres = await startPostgres();
  try {
    figures.push(...(await onPostgres(postgres)));
  } finally {
    await postgres.remove();
  }
  return reportFigures(figures, 2);
}

void main();
