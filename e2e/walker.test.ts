import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import {
  PHONE,
  type Person,
  type Server,
  WIDE,
  makeProject,
  newId,
  newPerson,
  readApi,
  removeServer,
  startBrowser,
  startServer,
  writeApi,
} from './app.ts';
import {
  closeByEsc,
  controlsOf,
  faultsOf,
  pathOf,
  pressAndLook,
  routesOf,
  settle,
  watchPresses,
} from './walk.ts';

jest.setTimeout(3_600_000);

/**
 * `CORDEL_WALK=all` presses every control of every page in every scene; else one of some, by a seed that differs from day
 * to day.
 * `CORDEL_WALK_SEED` repeats a walk, and `CORDEL_WALK_ROUTE` walks the routes that hold these letters alone.
 */
const ALL = process.env['CORDEL_WALK'] === 'all';
const SEED = Number(process.env['CORDEL_WALK_SEED'] ?? Math.floor(Date.now() / 86_400_000));
const ONLY = process.env['CORDEL_WALK_ROUTE'] ?? '';
/** The share of pages on which a short walk presses a control. */
const SHARE = 0.3;

let server: Server;
let browser: Browser;
/** A random number from 0 to 1, by the seed. */
let state = SEED;
const random = () => {
  state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
  return state / 2 ** 32;
};

interface Scene {
  name: string;
  projectId: string;
  closureId: string;
  code: string;
}
const scenes: Scene[] = [];

/** A project that nobody has put anything into. */
async function emptyProject(): Promise<string> {
  const [demo] = await readApi<{ id: string }[]>(server, '/projects');
  const { project } = await readApi<{ project: object }>(server, `/projects/${demo!.id}`);
  const id = newId();
  await writeApi(server, 'PUT', `/projects/${id}`, { ...project, id, name: 'Empty line' });
  return id;
}

/** A network unlike the demo: ports at both ends, a splitter, ribbons, groups, nothing placed or prepared. */
async function ownNetwork(): Promise<string> {
  const cable = (kind: object) => ({ ...kind });
  const projectId = await makeProject(
    server,
    'Own network',
    {
      F: cable({ kind: 'loose-tube', tubes: 2, fibersPerTube: 12 }),
      G: cable({ kind: 'grouped-tube', tubes: 1, groupsPerTube: 2 }),
      R: cable({ kind: 'ribbon', ribbons: 2 }),
      T: cable({ kind: 'ribbon', ribbons: 2 }),
    },
    [
      ...Array.from(
        { length: 6 },
        (_, at) => `North box,1,${at + 1},F,${at + 1},G,${at + 1},single`,
      ),
      ...Array.from({ length: 12 }, (_, at) => `South box,1,1,R,${at + 1},T,${at + 1},ribbon`),
    ],
  );
  const { project, closures } = await readApi<{
    project: { units: object };
    closures: { id: string; name: string }[];
  }>(server, `/projects/${projectId}`);
  const us = { length: 'in', distance: 'ft', pressure: 'psi', temperature: 'F', altitude: 'ft' };
  await writeApi(server, 'PUT', `/projects/${projectId}`, {
    ...project,
    units: { ...project.units, ...us, paper: 'Letter' },
  });
  const at = closures.find(({ name }) => name === 'North box')!.id;
  const device = (name: string, makeUp: object) => ({
    id: newId(),
    projectId,
    name,
    makeUp,
    schemeId: 'tia-598',
    closureId: at,
  });
  for (const one of [
    device('P1', { kind: 'ports', place: 'panel', ports: 12, connector: 'SC', polish: 'APC' }),
    device('S1', { kind: 'splitter', outputs: 4 }),
  ])
    await writeApi(server, 'PUT', `/cables/${one.id}`, one);
  return projectId;
}

async function sceneOf(name: string, projectId: string): Promise<Scene> {
  const { closures } = await readApi<{ closures: { id: string }[] }>(
    server,
    `/projects/${projectId}`,
  );
  return { name, projectId, closureId: closures[0]?.id ?? newId(), code: 'AAAAAA' };
}

beforeAll(async () => {
  [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  const [demo] = await readApi<{ id: string }[]>(server, '/projects');
  scenes.push(await sceneOf('demo', demo!.id));
  scenes.push(await sceneOf('own network', await ownNetwork()));
  scenes.push(await sceneOf('empty project', await emptyProject()));
});
afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
});

/** A person whose page notes errors, and answers of the server that are its own fault. */
async function walkerOf(size: typeof PHONE): Promise<Person> {
  const person = await newPerson(browser, server, 'W. Walker', size);
  await watchPresses(person.page);
  person.page.on('response', (response) => {
    if (response.status() >= 500) person.trouble.push(`${response.status()} ${response.url()}`);
  });
  person.page.on('dialog', (dialog) => void dialog.dismiss());
  return person;
}

const ROUTES = routesOf().filter((route) => route.includes(ONLY));

/** Opens a route of a scene and gives what is wrong with it. */
async function walkRoute(person: Person, scene: Scene, route: string): Promise<string[]> {
  const { page, trouble } = person;
  const url = server.url + pathOf(route, { ...scene });
  const open = async () => {
    await page.goto(url, { waitUntil: 'domcontentloaded' });
    await settle(page);
  };
  await open();
  const faults = await faultsOf(page);
  const controls = await controlsOf(page);
  const few = random() < SHARE ? 1 : 0;
  const chosen = ALL ? controls : [...controls].sort(() => random() - 0.5).slice(0, few);
  for (const [turn, control] of chosen.entries()) {
    if (turn > 0) await open();
    faults.push(...(await pressAndLook(page, control)));
    faults.push(...(await closeByEsc(page)).map((fault) => `after “${control.name}”: ${fault}`));
    faults.push(...trouble.splice(0).map((one) => `after “${control.name}”: ${one}`));
  }
  faults.push(...trouble.splice(0));
  return [...new Set(faults)].map((fault) => `${scene.name} ${route}: ${fault}`);
}

const WALKS = [
  ['phone', PHONE, 0],
  ['phone', PHONE, 1],
  ['phone', PHONE, 2],
  ['wide screen', WIDE, 0],
  ['wide screen', WIDE, 1],
  ['wide screen', WIDE, 2],
] as const;

/** The demo on a phone and a network unlike it on both; the long walk has the rest. */
const SHORT = [WALKS[0], WALKS[4]];

describe('every route is opened, and what is on it pressed', () => {
  test.each(ALL ? WALKS : SHORT)('on a %s', async (_, size, index) => {
    const scene = scenes[index]!;
    const person = await walkerOf(size);
    const faults: string[] = [];
    // A page without parameters is the same in every scene.
    const routes = index === 0 ? ROUTES : ROUTES.filter((route) => route.startsWith('/p/'));
    for (const route of routes) faults.push(...(await walkRoute(person, scene, route)));
    await person.context.close();
    if (faults.length > 0) faults.push(`repeat with CORDEL_WALK_SEED=${SEED}`);
    expect(faults).toEqual([]);
  });
});
