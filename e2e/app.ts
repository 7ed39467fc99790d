import { type ChildProcess, spawn } from 'node:child_process';
import { cp, mkdtemp, rename, rm, stat } from 'node:fs/promises';
import { type Socket, connect, createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { benchHead } from '@cordel/text/pages/bench/BenchHead';
import { benchShared } from '@cordel/text/pages/bench/shared';
import { common } from '@cordel/text/pages/common';
import { uiShared } from '@cordel/text/pages/ui/shared';
import puppeteer, { type Browser, type BrowserContext, type Page } from 'puppeteer-core';

/** The built server. */
export const MAIN = fileURLToPath(new URL('../apps/server/dist/main.js', import.meta.url));

/** How long a test waits for what is to come about: machines are now and then ten times slower than they were. */
const PATIENCE_MS = 40_000;

export const PHONE = { width: 390, height: 844 };
export const WIDE = { width: 1280, height: 800 };

export const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });

export interface Server {
  url: string;
  folder: string;
  process: ChildProcess;
  /** What it has printed so far. */
  output(): string;
  stop(signal?: NodeJS.Signals): Promise<number | null>;
}

/**
 * A new data folder with a database that is made, empty or with the demo: to make one takes three times as long as to copy
 * it. It has answered nobody, so that what a server makes at its first answer is made anew in each copy.
 */
export async function newFolder(demo: boolean): Promise<string> {
  const data = await mkdtemp(join(tmpdir(), 'cordel-e2e-'));
  const { mtimeMs } = await stat(MAIN);
  // The demo is of the day on which it is loaded.
  const day = new Date().toISOString().slice(0, 10);
  const name = `cordel-made-${demo ? `demo-${day}` : 'empty'}-${Math.round(mtimeMs)}`;
  const made = join(tmpdir(), name);
  const isMade = await stat(made).then(
    () => true,
    () => false,
  );
  if (!isMade) {
    const first = await startServer({ folder: await mkdtemp(`${made}-`), demo });
    await first.stop();
    // Another process may have made it meanwhile.
    await rename(first.folder, made).catch(() => undefined);
  }
  await cp(made, data, { recursive: true });
  return data;
}

/** Starts the built server on a free port, and waits until it says its address. */
export async function startServer({
  folder,
  demo = false,
  serve = false,
  env = {},
  port: wanted,
  says,
}: {
  folder?: string;
  demo?: boolean;
  /** With accounts: people sign in. */
  serve?: boolean;
  env?: Record<string, string>;
  port?: number;
  /** The address that it is to say, where it is none of plain http. */
  says?: string;
} = {}): Promise<Server> {
  const data = folder ?? (await newFolder(demo && !env['DATABASE_URL']));
  const port = wanted ?? (await freePort());
  const child = spawn(
    process.execPath,
    [MAIN, ...(demo ? ['--demo'] : []), ...(serve ? ['--serve'] : [])],
    {
      env: { ...process.env, NODE_OPTIONS: '', PORT: String(port), CORDEL_DATA: data, ...env },
    },
  );
  let output = '';
  child.stdout.on('data', (text) => (output += text));
  child.stderr.on('data', (text) => (output += text));
  const exited = new Promise<number | null>((resolve) => child.on('exit', (code) => resolve(code)));
  const url = `http://localhost:${port}`;
  for (let tries = 0; !output.includes(says ?? url); tries++) {
    if (tries > 600 || child.exitCode !== null)
      throw new Error(`The server did not start: ${output}`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return {
    url,
    folder: data,
    process: child,
    output: () => output,
    stop: async (signal = 'SIGTERM') => {
      child.kill(signal);
      return exited;
    },
  };
}

/** Waits until something holds, and gives what it is. */
export async function until<Found>(
  check: () => Promise<Found | false | null | undefined>,
  what: string,
  mostMs = 30_000,
): Promise<Found> {
  const end = Date.now() + mostMs;
  for (;;) {
    const found = await check();
    if (found) return found;
    if (Date.now() > end) throw new Error(`It was waited for in vain: ${what}`);
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

/** A line to a server that can be cut. */
export interface Line {
  url: string;
  cut(): void;
  restore(): void;
  close(): void;
}

/** A browser that is set offline keeps the streams that it has: this one takes them too. */
export async function lineTo(server: Server): Promise<Line> {
  const port = Number(new URL(server.url).port);
  const ends = new Set<Socket>();
  let isCut = false;
  const line = createServer((near) => {
    if (isCut) return void near.destroy();
    const far = connect(port, 'localhost');
    for (const end of [near, far]) {
      ends.add(end);
      end.on('close', () => ends.delete(end)).on('error', () => undefined);
    }
    near.pipe(far).pipe(near);
  });
  await new Promise<void>((resolve) => line.listen(0, '127.0.0.1', resolve));
  const drop = () => ends.forEach((end) => end.destroy());
  return {
    url: `http://localhost:${(line.address() as { port: number }).port}`,
    cut: () => {
      isCut = true;
      drop();
    },
    restore: () => {
      isCut = false;
    },
    close: () => {
      drop();
      line.close();
    },
  };
}

/** Stops a server and removes its data. */
export async function removeServer(server: Server): Promise<void> {
  await server.stop('SIGKILL');
  await rm(server.folder, { recursive: true, force: true });
}

/**
 * Debian's Chromium, cut off from every service of its own.
 * @param more switches for what a test plays, such as a camera
 */
export const startBrowser = (more: readonly string[] = []): Promise<Browser> =>
  puppeteer.launch({
    executablePath: process.env.CHROMIUM || '/usr/bin/chromium-headless-shell',
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-gpu',
      // Pages that were left would stay in memory.
      '--disable-features=BackForwardCache',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--disable-dev-shm-usage',
      ...more,
    ],
  });

/** One person's phone or desk: a page with a storage of its own, and what went wrong on it. */
export interface Person {
  page: Page;
  context: BrowserContext;
  /** Errors of the page and hosts it asked other than the server's. */
  trouble: string[];
}

export async function newPerson(
  browser: Browser,
  server: Server,
  name: string | null,
  size = PHONE,
): Promise<Person> {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport(size);
  page.setDefaultTimeout(PATIENCE_MS);
  const trouble: string[] = [];
  // What throws a cancelled request has no message: where it came from tells more.
  page.on('pageerror', (error) => trouble.push(`page error: ${(error as Error).stack}`));
  page.on('console', (message) => {
    if (message.type() === 'error' && !/Failed to load resource|ERR_/.test(message.text()))
      trouble.push(`console: ${message.text()}`);
  });
  page.on('request', (request) => {
    const asked = request.url();
    if (!asked.startsWith(server.url) && !/^(data|blob):/.test(asked))
      trouble.push(`other host: ${asked}`);
  });
  if (name) {
    await page.goto(`${server.url}/favicon.ico`);
    await page.evaluate((value) => localStorage.setItem('cordel.person', value), name);
  }
  return { page, context, trouble };
}

/** How long a page asks for nothing before it is taken for quiet. */
const QUIET_MS = 100;

/** Counts in the page what it has asked for and not yet got: answers, and scripts that come when they are needed. */
function countAsked(): void {
  const asked = { open: 0, quietSince: performance.now() };
  Object.assign(window, { asked });
  const begin = () => {
    asked.open++;
    let isOver = false;
    return () => {
      if (isOver) return;
      isOver = true;
      asked.open--;
      asked.quietSince = performance.now();
    };
  };
  const own = window.fetch.bind(window);
  window.fetch = async (input, init) => {
    const end = begin();
    try {
      const answer = await own(input, init);
      // A stream stays open.
      if (answer.headers.get('content-type')?.startsWith('text/event-stream')) end();
      // What is read of it is in the page a moment later.
      else
        void answer
          .clone()
          .arrayBuffer()
          .catch(() => undefined)
          .finally(end);
      return answer;
    } catch (error) {
      end();
      throw error;
    }
  };
  new MutationObserver((changes) => {
    for (const { addedNodes } of changes)
      for (const node of addedNodes)
        if (node instanceof HTMLScriptElement && node.src) {
          const end = begin();
          node.addEventListener('load', end);
          node.addEventListener('error', end);
        }
  }).observe(document, { childList: true, subtree: true });
}

/** Waits until a page is shown and has had an answer to all that it asked for. */
async function isQuiet(page: Page): Promise<void> {
  await page.waitForFunction(
    (quietMs, reading) => {
      const main = document.querySelector<HTMLElement>('main, [role="main"]');
      const { asked } = window as unknown as { asked: { open: number; quietSince: number } };
      return (
        main !== null &&
        main.innerText.trim() !== reading &&
        asked.open === 0 &&
        performance.now() - asked.quietSince > quietMs
      );
    },
    { polling: 50 },
    QUIET_MS,
    uiShared('reading'),
  );
}

const counted = new WeakSet<Page>();

/** Sends a page somewhere, and waits until it has what it shows there; streams stay open. */
async function go(page: Page, send: () => Promise<unknown>): Promise<void> {
  if (!counted.has(page)) {
    await page.evaluateOnNewDocument(countAsked);
    counted.add(page);
  }
  await send();
  await isQuiet(page);
}

/** Opens an address, and waits until the page has what it shows. */
export const visit = (page: Page, url: string): Promise<void> =>
  go(page, () => page.goto(url, { waitUntil: 'domcontentloaded' }));

/** Loads a page anew, as {@link visit} does. */
export const revisit = (page: Page): Promise<void> =>
  go(page, () => page.reload({ waitUntil: 'domcontentloaded' }));

/**
 * Presses what a selector finds. A list that settles moves its rows: it is pressed once it stands still, and
 * looked for again where it was drawn anew meanwhile.
 */
async function pressFound(page: Page, selector: string): Promise<void> {
  for (let tries = 1; ; tries++) {
    const element = await page.waitForSelector(selector, { visible: true });
    try {
      await element!.evaluate((node) => node.scrollIntoView({ block: 'center' }));
      return await element!.click();
    } catch (error) {
      if (tries === 3 || !/detached|not clickable/.test((error as Error).message)) throw error;
    }
  }
}

/** Presses the key, link or tab of that accessible name. */
export const press = (page: Page, name: string): Promise<void> =>
  pressFound(page, `::-p-aria(${name})`);

/** Presses what shows a text: a leaf or a row, whose name is all it shows. */
export const pressText = (page: Page, text: string): Promise<void> =>
  pressFound(page, `::-p-text(${text})`);

/** Presses what is behind More at the Bench. */
export async function pressMore(page: Page, name: string): Promise<void> {
  await press(page, benchHead('more'));
  await press(page, name);
}

/** Says at the Bench that the sleeve is on, where that is not said yet. */
export async function sleeveOn(page: Page): Promise<void> {
  const key = await page.waitForSelector('::-p-aria(Sleeve on)', { visible: true });
  if ((await key!.evaluate((node) => node.getAttribute('aria-checked'))) === 'false')
    await press(page, benchShared('sleeveOn'));
}

/** Closes the sheet that is open, and waits until the browser's history has let it go. */
export async function closeSheet(page: Page): Promise<void> {
  await press(page, common('close'));
  await page.waitForFunction(() => !(window.history.state as { sheet?: number } | null)?.sheet);
}

/** The text of the sheet that says why the Bench recommends what it does; it is closed again. */
export async function reasonsText(page: Page): Promise<string> {
  await pressFound(page, '[data-testid="recommendation"]');
  const sheet = await page.waitForSelector('[role="dialog"]', { visible: true });
  const text = await sheet!.evaluate((node) => (node as HTMLElement).innerText);
  await closeSheet(page);
  return text.replace(/\s+/g, ' ');
}

/** Presses keys of the Bench's keypad one after the other. */
export async function pressKeys(page: Page, keys: string): Promise<void> {
  for (const key of keys) await press(page, key === '.' ? 'Point' : key);
}

/** Types into the field of that name in place of what is there. */
export async function fill(page: Page, name: string, text: string): Promise<void> {
  const field = await page.waitForSelector(
    `input[aria-label="${name}"], textarea[aria-label="${name}"]`,
    { visible: true },
  );
  await field!.click({ count: 3 });
  await field!.press('Backspace');
  await write(page, text);
}

/** A long text comes at once, as from a phone's suggestions: each key draws a page anew. */
const write = (page: Page, text: string): Promise<void> =>
  text.length > 4 ? page.keyboard.sendCharacter(text) : page.keyboard.type(text);

const shownText = (page: Page) => page.evaluate(() => document.body.innerText);

/** Scrolls the page's longest list from its top until it shows a text, and fails with what its end shows. */
export async function scrollsTo(page: Page, pattern: RegExp): Promise<void> {
  const scroll = (top: boolean) =>
    page.evaluate((toTop) => {
      const list = [...document.querySelectorAll<HTMLElement>('main, main *')]
        .filter((node) => /auto|scroll/.test(getComputedStyle(node).overflowY))
        .sort((a, b) => b.scrollHeight - b.clientHeight - (a.scrollHeight - a.clientHeight))[0]!;
      const from = list.scrollTop;
      if (toTop) list.scrollTop = 0;
      else list.scrollBy(0, list.clientHeight / 2);
      return list.scrollTop !== from;
    }, top);
  await scroll(true);
  let moved: boolean;
  do {
    await new Promise((resolve) => setTimeout(resolve, 150));
    if (pattern.test((await shownText(page)).replace(/\s+/g, ' '))) return;
    moved = await scroll(false);
  } while (moved);
  await sees(page, pattern);
}

/** Writes the lines of a plan in place of those that are there. */
export async function writeLines(page: Page, text: string): Promise<void> {
  const editor = await page.waitForSelector('[aria-label="Lines of the plan"]', { visible: true });
  await editor!.click();
  await page.keyboard.down('Control');
  await page.keyboard.press('a');
  await page.keyboard.up('Control');
  await write(page, text);
}

/** Waits until the page shows a text, and fails with what it shows instead. */
export async function sees(page: Page, text: string | RegExp): Promise<void> {
  const pattern =
    typeof text === 'string' ? text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&') : text.source;
  try {
    await page.waitForFunction(
      (source) => new RegExp(source).test(document.body.innerText.replace(/\s+/g, ' ')),
      { timeout: PATIENCE_MS, polling: 100 },
      pattern,
    );
  } catch {
    throw new Error(`Not seen: ${pattern}\nThe page shows:\n${await shownText(page)}`);
  }
}

export async function seesNot(page: Page, text: string): Promise<void> {
  await page.waitForFunction(
    (words) => !document.body.innerText.includes(words),
    { timeout: PATIENCE_MS, polling: 100 },
    text,
  );
}

/** What an answer carries that a test gives in a server's place: without it the page takes it for none of the server's. */
export async function signOf({ url }: Pick<Server, 'url'>): Promise<Record<string, string>> {
  const { headers } = await fetch(`${url}/api/session`);
  return { 'x-cordel-database': headers.get('x-cordel-database')! };
}

/** Reads a path of the API as the page's own origin would. */
export async function readApi<Answer>(server: Pick<Server, 'url'>, path: string): Promise<Answer> {
  const response = await fetch(`${server.url}/api${path}`);
  if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`);
  return (await response.json()) as Answer;
}

/** Looks up a project's closures by name; fails with the name that is not there. */
export async function closureFinder(
  server: Server,
  project: string,
): Promise<(name: string) => string> {
  const { closures } = await readApi<{ closures: { closureId: string; name: string }[] }>(
    server,
    `/projects/${project}/ledger/closures`,
  );
  return (name) => {
    const found = closures.find((closure) => closure.name === name);
    if (!found) throw new Error(`No closure is called ${name}.`);
    return found.closureId;
  };
}

/** Writes to the API as any client may, and fails where it is not taken. */
export async function writeApi(
  server: Server,
  method: 'PUT' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<void> {
  const response = await fetch(`${server.url}/api${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`);
}

/** Waits until the device has the app whole: its service worker runs, and is in charge of the page. */
export const appIsKept = (page: Page): Promise<unknown> =>
  page.waitForFunction(
    async () =>
      (await navigator.serviceWorker.ready).active !== null &&
      navigator.serviceWorker.controller !== null,
    { timeout: 60_000, polling: 250 },
  );

/** Waits until the server has answered everything that was written on a device; what it refused stays there. */
export const outboxIsSent = (page: Page): Promise<unknown> =>
  page.waitForFunction(
    () =>
      new Promise<boolean>((resolve, reject) => {
        const opening = indexedDB.open('cordel-commands', 1);
        opening.onerror = () => reject(opening.error!);
        opening.onsuccess = () => {
          const database = opening.result;
          const reading = database.transaction('writes').objectStore('writes').getAll();
          reading.onsuccess = () => {
            database.close();
            const writes = reading.result as { state: string }[];
            resolve(writes.every(({ state }) => state === 'refused'));
          };
        };
      }),
    { polling: 100 },
  );

let made = 0;

/** An id as clients make them. */
export function newId(): string {
  const time = Date.now().toString(16).padStart(12, '0');
  return `${time.slice(0, 8)}-${time.slice(8)}-7000-8000-${(++made).toString(16).padStart(12, '0')}`;
}

const LIST_TITLES = 'closure,tray,slot,cable A,fiber A,cable B,fiber B,method';

/** Makes a project with the demo's settings, cables by name, and the splices of a list. */
export async function makeProject(
  server: Server,
  name: string,
  makeUps: Record<string, object>,
  rows: readonly string[],
): Promise<string> {
  const [demo] = await readApi<{ id: string }[]>(server, '/projects');
  const { project } = await readApi<{ project: object }>(server, `/projects/${demo!.id}`);
  const projectId = newId();
  await writeApi(server, 'PUT', `/projects/${projectId}`, { ...project, id: projectId, name });
  for (const [cable, makeUp] of Object.entries(makeUps)) {
    const id = newId();
    const record = { id, projectId, name: cable, makeUp, schemeId: 'tia-598' };
    await writeApi(server, 'PUT', `/cables/${id}`, record);
  }
  if (rows.length === 0) return projectId;
  await writeApi(server, 'POST', `/projects/${projectId}/splice-list`, {
    importId: newId(),
    text: [LIST_TITLES, ...rows].join('\r\n'),
    match: { closure: 0, tray: 1, slot: 2, cableA: 3, fiberA: 4, cableB: 5, fiberB: 6, method: 7 },
    cables: [],
  });
  return projectId;
}

/** Chooses files where a key asks for them. */
export async function chooseFile(page: Page, key: string, ...paths: string[]): Promise<void> {
  const [chooser] = await Promise.all([page.waitForFileChooser(), press(page, key)]);
  await chooser.accept(paths);
}

/**
 * Gives a way to write the steps of one story: after the first that fails, the rest of it would say nothing.
 * Each story has its own, so that one that fails hides no other.
 */
export function storyteller(): (name: string, work: () => Promise<void>) => void {
  let broken = false;
  return (name, work) =>
    test(name, async () => {
      if (broken) throw new Error('An earlier step failed.');
      broken = true;
      await work();
      broken = false;
    });
}

/** The demo with one person on a phone, for a file of tests: started before them, and removed after. */
export function demoOnAPhone(name: string) {
  let server: Server;
  let browser: Browser;
  let person: Person;
  let project: string;
  let idOf: (closure: string) => string;
  beforeAll(async () => {
    [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
    project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
    idOf = await closureFinder(server, project);
    person = await newPerson(browser, server, name);
  });
  afterAll(async () => {
    await browser?.close();
    if (server) await removeServer(server);
  });
  return {
    page: () => person.page,
    person: () => person,
    server: () => server,
    project: () => project,
    /** Opens a page of a closure of that name. */
    goTo: (closure: string, path: string) =>
      visit(person.page, `${server.url}/p/${project}/route/${idOf(closure)}/${path}`),
    idOf: (closure: string) => idOf(closure),
  };
}
