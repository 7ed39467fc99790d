import { cp, mkdir, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { seeded } from '@cordel/standin';
import pg from 'pg';
import { createApi } from '../../app.ts';
import { ForgetfulDisk } from '../../testing/forgetfulDisk.ts';
import { attemptOn, smallDocument } from '../../testing/small.ts';
import { openEmbedded } from '../client.ts';
import { type Engine, openFolderEngine } from './engine.ts';
import { Wire } from './wire.ts';

const MIGRATIONS = fileURLToPath(new URL('../../../drizzle', import.meta.url));
/** Little memory for pages, so that they are written early, and a checkpoint every so often. */
const SETTING = { settings: ['shared_buffers=1MB'], logBytes: 1_500_000 };
/** Each takes from half a second to several, by the machine's disk; `npm run test:long` tries more, others each day. */
const MOMENTS = Number(process.env.CORDEL_POWER_CUTS ?? 5);
const OF_TODAY = Math.floor(Date.now() / 86_400_000);
const SEED = Number(process.env.CORDEL_POWER_SEED ?? (MOMENTS === 5 ? 20261128 : OF_TODAY));

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cordel-power-'));
  const engine = await openFolderEngine(folder);
  await (await openEmbedded(() => Promise.resolve(engine), MIGRATIONS)).close();
  await engine.close();
});
afterAll(() => rm(folder, { recursive: true, force: true }));

interface Acknowledged {
  id: string;
  /** How many steps had been done to the disk when the answer went out. */
  moment: number;
}

/** Records by many at once over the API, and keeps what was acknowledged when. */
async function work(
  name: string,
  synced: (engine: Engine) => Promise<void>,
): Promise<{ disk: ForgetfulDisk; acknowledged: Acknowledged[] }> {
  const own = join(folder, name);
  await mkdir(own);
  await cp(join(folder, 'pg'), join(own, 'pg'), { recursive: true });
  const disk = await ForgetfulDisk.of(join(own, 'pg'), join(own, 'base'));
  const engine = await openFolderEngine(own, { ...SETTING, watch: disk });
  const open = await openEmbedded(() => Promise.resolve(engine), MIGRATIONS);
  const app = createApi({ db: open.db, synced: () => synced(engine) });
  const send = (path: string, body: unknown) =>
    app.request(`/api${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  const document = smallDocument();
  expect((await send('/documents', document)).status).toBe(200);
  const acknowledged: Acknowledged[] = [];
  const person = async (index: number) => {
    for (let round = 0; round < 40; round++) {
      const splice = document.splices[(index + round) % document.splices.length]!;
      const entries = Array.from({ length: round % 7 === 0 ? 20 : 1 }, () =>
        attemptOn(splice.id, 20),
      );
      const answer = await send('/evidence', { entries });
      if (answer.status !== 200) throw new Error(await answer.text());
      const moment = disk.steps.length;
      acknowledged.push(...entries.map(({ id }) => ({ id, moment })));
    }
  };
  await Promise.all(Array.from({ length: 8 }, (_, index) => person(index)));
  const steps = disk.steps.length;
  await open.close();
  await engine.close();
  disk.steps.length = steps;
  return { disk, acknowledged };
}

/** Ids of the attempts in a database as it was left, read over the index and over the table. */
async function readLeft(own: string): Promise<Set<string>> {
  // What is read need not last: without syncs it is there much sooner.
  const engine = await openFolderEngine(own, { settings: ['fsync=off'] });
  const client = new pg.Client({
    stream: () => new Wire(() => Promise.resolve(engine)) as never,
    user: 'postgres',
  });
  try {
    await client.connect();
    const read = async (setting: string) => {
      await client.query(
        `set enable_indexscan = ${setting}; set enable_indexonlyscan = ${setting}; set enable_bitmapscan = ${setting}; set enable_seqscan = ${setting === 'on' ? 'off' : 'on'}`,
      );
      const { rows } = await client.query<{ id: string }>('select id from attempts order by id');
      return rows.map(({ id }) => id);
    };
    const ids = await read('on');
    expect(await read('off')).toEqual(ids);
    return new Set(ids);
  } finally {
    await client.end();
    await engine.close();
  }
}

/** Cuts the power at random moments, up to the first that lost something that had been acknowledged; gives whether one did. */
async function cutPower(
  { disk, acknowledged }: Awaited<ReturnType<typeof work>>,
  moments: number,
  seed: number,
): Promise<boolean> {
  const random = seeded(seed).uniform;
  const first = acknowledged[0]!.moment;
  for (let count = 0; count < moments; count++) {
    const moment = first + Math.floor(random() * (disk.steps.length - first));
    const own = join(folder, `left-${seed}`);
    await disk.leave(moment, join(own, 'pg'), random, [0, 0.3, 0.8][count % 3]!);
    const left = await readLeft(own);
    const due = acknowledged.filter((one) => one.moment <= moment);
    if (due.some(({ id }) => !left.has(id))) return true;
  }
  return false;
}

describe('a power cut', () => {
  it(`at ${MOMENTS} random moments loses nothing that was acknowledged (CORDEL_POWER_CUTS=${MOMENTS} CORDEL_POWER_SEED=${SEED})`, async () => {
    const done = await work('synced', (engine) => engine.synced());
    expect(done.acknowledged.length).toBeGreaterThan(1000);
    // Checkpoints and pages written early are among what is cut through.
    expect(done.disk.steps.filter(({ kind }) => kind === 'sync names').length).toBeGreaterThan(5);
    expect(await cutPower(done, MOMENTS, SEED)).toBe(false);
  }, 900_000);

  it('loses some where the log is not synced before the answer', async () => {
    const done = await work('unsynced', () => Promise.resolve());
    expect(await cutPower(done, 8, 7)).toBe(true);
  }, 900_000);
});
