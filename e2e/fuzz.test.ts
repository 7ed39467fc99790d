import { readFile } from 'node:fs/promises';
import { jest } from '@jest/globals';
import { type Server, removeServer, startServer, until } from './app';
import { type SignedIn, askAs, memberOf, servedDemo } from './people';
import { v7 as uuid } from 'uuid';
import { type Postgres, startPostgres } from '../apps/server/src/testing/postgres.ts';
import { fuzz } from './fuzz';

jest.setTimeout(900_000);

const COUNT = Number(process.env.CORDEL_FUZZ_COUNT ?? 1_000);
const SEED = Number(process.env.CORDEL_FUZZ_SEED ?? 20_261_128);

describe('the server under requests that nobody means', () => {
  it(`fails over none of ${COUNT}, keeps nobody waiting, and keeps its memory (CORDEL_FUZZ_SEED=${SEED})`, async () => {
    const server = await startServer({ demo: true });
    try {
      const memory = async () => {
        const status = await readFile(`/proc/${server.process.pid}/status`, 'utf8');
        return Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024;
      };
      // What the server keeps for good is there after the first thousands.
      const warm = await fuzz(server.url, { count: Math.round(COUNT * 0.4), seed: SEED });
      const before = await memory();
      const report = await fuzz(server.url, { count: Math.round(COUNT * 0.6), seed: SEED + 1 });
      const after = await until(async () => {
        const now = await memory();
        return now < 1.2 * before && now;
      }, 'the memory given back');
      console.log(
        `seed ${SEED}: ${JSON.stringify(report.statuses)}, longest stop ${Math.round(report.longestStopMs)} ms, ` +
          `memory ${Math.round(before)} MB, then ${Math.round(after)} MB`,
      );
      expect([...warm.failures, ...report.failures].slice(0, 5)).toEqual([]);
      // A third of all get through to the work itself: requests that are refused at the door show little.
      expect(report.statuses[200]).toBeGreaterThan(0.25 * report.requests);
      // A busy machine holds anybody for a second or two: what is caught here is work that stops the server.
      expect(Math.max(warm.longestStopMs, report.longestStopMs)).toBeLessThan(10_000);
      expect(server.process.exitCode).toBeNull();
    } finally {
      await removeServer(server);
    }
  });
});

// Every route is called on PostgreSQL here: API tests run there only where the engine matters.
describe('a server with accounts on PostgreSQL under the same, as everybody in turn', () => {
  /** Requests of each. */
  const EACH = Math.round(COUNT / 10);
  /** Whoever asks for these is somebody else afterwards, or nobody. */
  const ENDS_SESSIONS = /\/stream$|\/session|\/devices|\/password/;
  let postgres: Postgres;
  let server: Server;
  let owner: SignedIn;
  let project: string;
  let other: string;
  beforeAll(async () => {
    postgres = await startPostgres();
    const DATABASE_URL = await postgres.newDatabase('fuzz');
    ({ server, owner, project } = await servedDemo({ DATABASE_URL }));
    const document = await askAs<{ project: object }>(
      server,
      owner,
      `/projects/${project}/document.json`,
    );
    // A project of others, without anything in it.
    other = uuid();
    const empty = { ...document, project: { ...document.project, id: other, name: 'Another' } };
    const lists = Object.entries(empty).filter(([, value]) => Array.isArray(value));
    await askAs(server, owner, '/documents', {
      ...empty,
      ...Object.fromEntries(lists.map(([name]) => [name, []])),
    });
  });
  afterAll(async () => {
    await removeServer(server);
    await postgres.remove();
  });

  const record = () => askAs<object>(server, owner, `/projects/${project}/document.json`);

  it.each([
    ['a stranger', null, null],
    ['a reader', 'reader', 'here'],
    ['an owner of another project', 'owner', 'elsewhere'],
    ['an inspector', 'inspector', 'here'],
    ['a technician', 'technician', 'here'],
    ['a lead', 'lead', 'here'],
    ['an owner', 'owner', 'here'],
  ] as const)(
    '%s: it fails over none, and changes nothing for who may not',
    async (_, role, where) => {
      const as = role
        ? await memberOf(server, owner, where === 'here' ? project : other, role)
        : { origin: server.url };
      const before = await record();
      const without = role ? ENDS_SESSIONS : /\/stream$/;
      const everyRoute = role === 'owner' && where === 'here';
      const report = await fuzz(server.url, {
        count: EACH,
        seed: SEED,
        as,
        reads: owner,
        without,
        everyRoute,
      });
      console.log(`${role} ${where}: ${JSON.stringify(report.statuses)}`);
      expect(report.failures.slice(0, 5)).toEqual([]);
      const refused = (report.statuses[401] ?? 0) + (report.statuses[403] ?? 0);
      if (role === null || role === 'reader' || where === 'elsewhere') {
        expect(await record()).toEqual(before);
        expect(refused).toBeGreaterThan(0.3 * EACH);
      }
      expect(server.process.exitCode).toBeNull();
    },
  );
});
