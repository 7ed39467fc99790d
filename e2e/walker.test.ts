import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import {
  PHONE,
  type Person,
  type Server,
  WIDE,
  removeServer,
  startBrowser,
  startServer,
} from './app.ts';
import { SCENES, type Scene, type SceneName, Stage } from './scenes.ts';
import {
  type Control,
  closeByEsc,
  controlsBrought,
  controlsOf,
  faultsOf,
  fewOfAKind,
  pathOf,
  pressAndLook,
  routesOf,
  settle,
  watchPresses,
} from './walk.ts';

jest.setTimeout(7_200_000);

/**
 * `CORDEL_WALK=all` presses every control of every page in every scene, and every control that a press brings;
 * `CORDEL_WALK=kinds` does so with two controls of each look, so that long lists are not pressed through. Else every
 * route is opened in three scenes, and something pressed on some, by a seed that stays; long walks have another each day.
 * `CORDEL_WALK_SEED` repeats a walk; `CORDEL_WALK_SCENE` and `CORDEL_WALK_ROUTE` walk what holds these letters alone.
 */
const WALK = process.env['CORDEL_WALK'] ?? '';
const MOST_OF_A_KIND = WALK === 'kinds' ? 2 : Infinity;
const OF_TODAY = Math.floor(Date.now() / 86_400_000);
const SEED = Number(process.env['CORDEL_WALK_SEED'] ?? (WALK === '' ? 7 : OF_TODAY));
const ONLY_SCENE = process.env['CORDEL_WALK_SCENE'] ?? '';
const ONLY_ROUTE = process.env['CORDEL_WALK_ROUTE'] ?? '';
/** The share of pages on which a short walk presses a control. */
const SHARE = 0.3;

let server: Server;
let browser: Browser;
let stage: Stage;
/** A random number from 0 to 1, by the seed. */
let state = SEED;
const random = () => {
  state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
  return state / 2 ** 32;
};

beforeAll(async () => {
  [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  stage = new Stage(browser, server);
});
afterAll(async () => {
  await browser?.close();
  for (const one of [server, ...(stage?.servers ?? [])]) if (one) await removeServer(one);
});

/** Notes answers of the server that are its own fault, and what a press does that is not seen. */
async function watched(person: Person): Promise<Person> {
  await watchPresses(person.page);
  person.page.on('response', (response) => {
    if (response.status() >= 500) person.trouble.push(`${response.status()} ${response.url()}`);
  });
  person.page.on('dialog', (dialog) => void dialog.dismiss());
  return person;
}

const ROUTES = routesOf().filter((route) => route.includes(ONLY_ROUTE));

/** Opens a route of a scene and gives what is wrong with it. */
async function walkRoute(person: Person, scene: Scene, route: string): Promise<string[]> {
  const { page, trouble } = person;
  const url = new URL(page.url()).origin + pathOf(route, scene.values);
  const open = async () => {
    await page.goto(url, { waitUntil: 'domcontentloaded' });
    await settle(page);
  };
  await open();
  const faults = await faultsOf(page);
  const controls = await controlsOf(page);
  const take = (found: string[], name: string) =>
    faults.push(...[...found, ...trouble.splice(0)].map((fault) => `after “${name}”: ${fault}`));
  const press = async (control: Control) => {
    const found = await pressAndLook(page, control);
    const brought = WALK === '' ? [] : await controlsBrought(page, controls);
    take([...found, ...(await closeByEsc(page))], control.name);
    return fewOfAKind(brought, MOST_OF_A_KIND);
  };
  const few = random() < SHARE ? 1 : 0;
  const chosen =
    WALK === ''
      ? [...controls].sort(() => random() - 0.5).slice(0, few)
      : fewOfAKind(controls, MOST_OF_A_KIND);
  let isFresh = true;
  for (const control of chosen) {
    if (!isFresh) await open();
    isFresh = false;
    for (const inner of await press(control)) {
      await open();
      await pressAndLook(page, control);
      const names = `${control.name} / ${inner.name}`;
      take([...(await pressAndLook(page, inner)), ...(await closeByEsc(page))], names);
    }
  }
  faults.push(...trouble.splice(0));
  return [...new Set(faults)].map((fault) => `${route}: ${fault}`);
}

const SIZES = { phone: PHONE, 'wide screen': WIDE };
type Size = keyof typeof SIZES;
const WHOLE = SCENES.flatMap((name): [SceneName, Size][] => [
  [name, 'phone'],
  [name, 'wide screen'],
]);
/** The demo on a phone, a network unlike it on a wide screen, and one of the others. */
const OTHERS = WHOLE.filter(([name]) => name !== 'demo' && name !== 'own network');
const SHORT: [SceneName, Size][] = [
  ['demo', 'phone'],
  ['own network', 'wide screen'],
  OTHERS[SEED % OTHERS.length]!,
];
const WALKS = (WALK === '' && ONLY_SCENE === '' ? SHORT : WHOLE).filter(([name]) =>
  name.includes(ONLY_SCENE),
);

describe('every route is opened, and what is on it pressed', () => {
  test.each(WALKS)('%s, on a %s', async (name, size) => {
    const scene = await stage.scene(name);
    const person = await watched(await scene.person(SIZES[size]));
    if (person.page.url() === 'about:blank') await person.page.goto(server.url);
    person.trouble.splice(0);
    const faults: string[] = [];
    // A page without parameters is the same in most scenes.
    const isWhole = name === 'demo' || name === 'offline' || name === 'reader';
    const routes = isWhole ? ROUTES : ROUTES.filter((route) => route.startsWith('/p/'));
    for (const route of routes) faults.push(...(await walkRoute(person, scene, route)));
    await person.context.close();
    if (faults.length > 0) faults.push(`repeat with CORDEL_WALK_SEED=${SEED}`);
    expect(faults).toEqual([]);
  });
});
