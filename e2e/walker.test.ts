import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import {
  PHONE,
  WIDE,
  type Person,
  type Server,
  removeServer,
  startBrowser,
  startServer,
} from './app.ts';
import { SCENES, type SceneName, Stage } from './scenes.ts';
import {
  type Control,
  Choice,
  closeByEsc,
  controlsBrought,
  controlsOf,
  faultsOf,
  pathOf,
  pressAndLook,
  routesOf,
  isThere,
  settle,
  sheetIsOpen,
  watchPresses,
} from './walk.ts';

jest.setTimeout(7_200_000);

/**
 * `CORDEL_WALK=all` presses every control of every page in every scene, and every control that a press brings;
 * `CORDEL_WALK=kinds` does so with four of each look on a page and each of one name once in a scene, so that neither long
 * lists nor what stands on every page are pressed through. Else every route is opened in three scenes, and something pressed on some, by a seed that stays; long walks have another each day.
 * `CORDEL_WALK_SEED` repeats a walk; `CORDEL_WALK_SCENE` and `CORDEL_WALK_ROUTE` walk what holds these letters alone.
 */
const WALK = process.env['CORDEL_WALK'] ?? '';
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
  // A file that opens in a tab of its own would hide the page, and what is hidden is not laid out.
  person.page.on('popup', (tab) => void tab?.close().then(() => person.page.bringToFront()));
  person.page.on('dialog', (dialog) => void dialog.dismiss());
  return person;
}

const ROUTES = routesOf().filter((route) => route.includes(ONLY_ROUTE));

/** A route of a scene that is opened and pressed through. */
class RouteWalk {
  private readonly person: Person;
  private readonly url: string;
  private readonly choice: Choice;
  /** What was wrong so far: what stays wrong on a page is told at the first press after which it is seen. */
  private readonly faults = new Map<string, string>();
  private controls: Control[] = [];

  constructor(person: Person, url: string, choice: Choice) {
    this.person = person;
    this.url = url;
    this.choice = choice;
  }

  /** @returns what is wrong with it */
  async walk(): Promise<string[]> {
    const { page } = this.person;
    await this.open();
    this.take(await faultsOf(page), '');
    this.controls = await controlsOf(page);
    for (const control of this.chosen()) {
      if (!(await this.isHome()) || !(await isThere(page, control))) await this.open();
      await this.press(control);
      // Where it leads to another page, that page is walked by itself.
      if (WALK !== '' && page.url().split(/[?#]/)[0] === this.url) await this.pressBrought(control);
      this.take(await closeByEsc(page), control.name);
    }
    this.take([], '');
    return [...this.faults].map(([fault, name]) => (name ? `after “${name}”: ${fault}` : fault));
  }

  private chosen(): Control[] {
    if (WALK !== '') return this.choice.take(this.controls);
    const few = random() < SHARE ? 1 : 0;
    return [...this.controls].sort(() => random() - 0.5).slice(0, few);
  }

  /** Presses what a press brought with it. */
  private async pressBrought(control: Control): Promise<void> {
    const { page } = this.person;
    let gone = 0;
    for (const inner of this.choice.take(await controlsBrought(page, this.controls))) {
      const name = `${control.name} / ${inner.name}`;
      // The page is opened anew only where the press before it went elsewhere.
      if (!(await isThere(page, inner))) {
        this.take(await closeByEsc(page), name);
        if (!(await this.isHome()) || !(await isThere(page, control))) await this.open();
        await this.press(control);
        // What makes something new each time brings other controls: they are not waited for.
        if (!(await isThere(page, inner)) && ++gone === 2) break;
      }
      await this.press(inner, name);
    }
  }

  private async open(): Promise<void> {
    await this.person.page.goto(this.url, { waitUntil: 'domcontentloaded' });
    await settle(this.person.page);
  }

  private async isHome(): Promise<boolean> {
    return this.person.page.url() === this.url && !(await sheetIsOpen(this.person.page));
  }

  private async press(control: Control, name = control.name): Promise<void> {
    const { page } = this.person;
    if (await isThere(page, control)) this.take(await pressAndLook(page, control), name);
  }

  private take(found: readonly string[], name: string): void {
    for (const fault of [...found, ...this.person.trouble.splice(0)])
      if (!this.faults.has(fault)) this.faults.set(fault, name);
  }
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
    const choice = WALK === 'kinds' ? new Choice(4, 1) : new Choice(Infinity, Infinity);
    for (const route of routes) {
      const url = new URL(person.page.url()).origin + pathOf(route, scene.values);
      const faultsHere = await new RouteWalk(person, url, choice).walk();
      const found = faultsHere.map((fault) => `${route}: ${fault}`);
      // A long walk may be cut off: what it found stands by then.
      if (WALK !== '')
        process.stderr.write(`${[`${name}, ${size}: ${route}`, ...found].join('\n  ')}\n`);
      faults.push(...found);
    }
    await person.context.close();
    if (faults.length > 0) faults.push(`repeat with CORDEL_WALK_SEED=${SEED}`);
    expect(faults).toEqual([]);
  });
});
