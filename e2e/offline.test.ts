import { cp, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { record } from '@cordel/text/handover/record';
import { benchPage } from '@cordel/text/pages/bench/BenchPage';
import { labelsPage } from '@cordel/text/pages/labels/LabelsPage';
import { closureSheet } from '@cordel/text/pages/route/ClosureSheet';
import { takeAlongPage } from '@cordel/text/pages/takeAlong/TakeAlongPage';
import { shell } from '@cordel/text/pages/ui/Shell';
import { updateStrip } from '@cordel/text/pages/ui/UpdateStrip';
import { jest } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import {
  type Line,
  type Person,
  type Server,
  appIsKept,
  closureFinder,
  freePort,
  lineTo,
  newPerson,
  press,
  pressKeys,
  pressText,
  readApi,
  removeServer,
  sees,
  seesNot,
  startBrowser,
  startServer,
  storyteller,
  until,
  visit,
} from './app.ts';

jest.setTimeout(180_000);

const BUILT = new URL('../apps/web/dist', import.meta.url).pathname;

describe('a night of two phones without signal', () => {
  let server: Server;
  let line: Line;
  let browser: Browser;
  let phone: Person;
  let other: Person;
  let project: string;
  let idOf: (name: string) => string;
  beforeAll(async () => {
    [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
    line = await lineTo(server);
    project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
    idOf = await closureFinder(server, project);
    phone = await newPerson(browser, { ...server, url: line.url }, 'M. Quill');
    other = await newPerson(browser, { ...server, url: line.url }, 'R. Aldous');
  });
  afterAll(async () => {
    line?.close();
    await browser?.close();
    if (server) await removeServer(server);
  });
  const at = (path: string) => `${line.url}/p/${project}/${path}`;
  const step = storyteller();

  step('is prepared for by taking the project along', async () => {
    for (const { page } of [phone, other]) {
      await visit(page, at('kit/take-along'));
      await sees(page, labelsPage('allClosures', { closures: 16 }));
      await press(page, takeAlongPage('takeIt'));
      await sees(page, /On this device as of \d{4}-\d\d-\d\d \d\d:\d\d\. \d+\.\d MB, all closures/);
      await appIsKept(page);
    }
  });

  step('starts cold, and shows what it never opened before', async () => {
    await phone.page.close();
    line.cut();
    phone.page = await phone.context.newPage();
    phone.page.setDefaultTimeout(40_000);
    await phone.page.setViewport({ width: 390, height: 844 });
    await phone.page.goto(at('route'));
    await sees(phone.page, 'Dairy lane');
    await pressText(phone.page, 'Quarry gate');
    await sees(phone.page, closureSheet('splicePlanAndTrays'));
    await phone.page.goto(at(`route/${idOf('School rise')}/plan`));
    await sees(phone.page, 'School rise');
    await phone.page.goto(at(`route/${idOf('School rise')}/open`));
    await sees(phone.page, /Open/);
    await phone.page.goto(at(`route/${idOf('Kiln yard')}/close`));
    await sees(phone.page, 'Kiln yard');
    await phone.page.goto(at('ledger'));
    await sees(phone.page, 'Sluice bridge');
  });

  step('records, is reloaded and killed, and loses nothing', async () => {
    const bench = at(`bench/${idOf('Weir gauge')}`);
    await phone.page.goto(bench);
    await pressKeys(phone.page, '2');
    await press(phone.page, benchPage('saveNext'));
    await sees(phone.page, record('traySlot', { tray: 1, slot: 2 }));
    await phone.page.reload();
    await sees(phone.page, 'No connection, 1 kept here to send');
    await pressKeys(phone.page, '3');
    await press(phone.page, benchPage('saveNext'));
    await sees(phone.page, record('traySlot', { tray: 1, slot: 3 }));
    await phone.page.close();
    phone.page = await phone.context.newPage();
    phone.page.setDefaultTimeout(40_000);
    await phone.page.goto(bench);
    await sees(phone.page, 'No connection, 2 kept here to send');
    await sees(phone.page, record('traySlot', { tray: 1, slot: 3 }));
  });

  step('has both at the same splice, and neither knows', async () => {
    await other.page.close();
    other.page = await other.context.newPage();
    other.page.setDefaultTimeout(40_000);
    await other.page.goto(at(`bench/${idOf('Weir gauge')}`));
    await sees(other.page, record('traySlot', { tray: 1, slot: 1 }));
    await pressKeys(other.page, '5');
    await press(other.page, benchPage('saveNext'));
    await sees(other.page, 'No connection, 1 kept here to send');
    await sees(other.page, record('traySlot', { tray: 1, slot: 2 }));
  });

  step('says what needs the server', async () => {
    await phone.page.goto(at('route/circuits'));
    await sees(phone.page, /[Nn]ot reached|[Nn]o connection/);
  });

  step('is on the server by itself once there is signal', async () => {
    line.restore();
    const attemptsBy = async (name: string) => {
      const { evidence } = await readApi<{ evidence: { type: string; by: string }[] }>(
        server,
        `/closures/${idOf('Weir gauge')}/work`,
      );
      return evidence.filter(({ type, by }) => type === 'attempt' && by === name).length;
    };
    // In the other order than they were made.
    await other.page.goto(at('route'));
    await until(async () => (await attemptsBy('R. Aldous')) === 1, 'what the other recorded');
    await phone.page.goto(at('route'));
    await until(async () => (await attemptsBy('M. Quill')) === 2, 'what was recorded first');
    expect(await attemptsBy('R. Aldous')).toBe(1);
    expect([...phone.trouble, ...other.trouble]).toEqual([]);
  });
});

describe('a newer Cordel', () => {
  let folder: string;
  let port: number;
  let server: Server;
  let browser: Browser;
  let phone: Person;
  let project: string;
  const start = () =>
    startServer({
      folder: join(folder, 'data'),
      demo: true,
      port,
      env: { CORDEL_WEB: join(folder, 'web') },
    });
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'cordel-update-'));
    await cp(BUILT, join(folder, 'web'), { recursive: true });
    port = await freePort();
    [server, browser] = await Promise.all([start(), startBrowser()]);
    project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
    phone = await newPerson(browser, server, 'M. Quill');
  });
  afterAll(async () => {
    await browser?.close();
    await server?.stop('SIGKILL');
    await rm(folder, { recursive: true, force: true });
  });

  /** The server comes back with another build, as after an update. */
  async function update(build: string): Promise<void> {
    await server.stop();
    const index = join(folder, 'web/index.html');
    const worker = join(folder, 'web/sw.js');
    for (const path of [index, worker])
      for (const packed of ['.br', '.gz']) await rm(`${path}${packed}`, { force: true });
    const page = await readFile(index, 'utf8');
    await writeFile(index, page.replace(/(name="cordel-build" content=)"\w+"/, `$1"${build}"`));
    const script = await readFile(worker, 'utf8');
    const changed = script.replace(/(url:"index\.html",revision:)"\w+"/, `$1"${build}"`);
    expect(changed).not.toBe(script);
    await writeFile(worker, changed);
    server = await start();
  }
  const buildOf = (page: Page) =>
    page.$eval('meta[name="cordel-build"]', (meta) => (meta as HTMLMetaElement).content);

  it('asks before it is loaded, and never in the middle of a splice', async () => {
    const { page } = phone;
    const idOf = await closureFinder(server, project);
    await visit(page, `${server.url}/p/${project}/bench/${idOf('Weir gauge')}`);
    await appIsKept(page);
    await pressKeys(page, '2');
    const before = await buildOf(page);
    await update('aaaaaaaaaaaaaaaa');
    // It hears of it and has it whole, and says nothing while there is something in hand.
    await page.waitForFunction(
      async () => (await navigator.serviceWorker.getRegistration())?.waiting !== null,
      { timeout: 60_000, polling: 250 },
    );
    await seesNot(page, updateStrip('newerIsHere'));
    await press(page, benchPage('saveNext'));
    await sees(page, record('traySlot', { tray: 1, slot: 2 }));
    await pressText(page, shell('route'));
    await sees(page, updateStrip('newerIsHere'));
    expect(await buildOf(page)).toBe(before);
    await press(page, updateStrip('load'));
    await until(
      async () => (await buildOf(page).catch(() => '')) === 'aaaaaaaaaaaaaaaa',
      'the newer page',
    );
    await sees(page, 'Dairy lane');
    await seesNot(page, updateStrip('newerIsHere'));
  });

  it('asks once more where something is half-typed', async () => {
    const { page } = phone;
    await visit(page, `${server.url}/p/${project}/ledger`);
    await page.waitForSelector('input');
    await page.type('input', 'A 10');
    await update('bbbbbbbbbbbbbbbb');
    await sees(page, updateStrip('newerIsHere'));
    await press(page, updateStrip('load'));
    await sees(page, updateStrip('halfTyped'));
    expect(await page.$eval('input', (field) => field.value)).toBe('A 10');
    await press(page, updateStrip('load'));
    await until(
      async () => (await buildOf(page).catch(() => '')) === 'bbbbbbbbbbbbbbbb',
      'the newer page',
    );
  });

  it('is installable, and lets no script run but its own', async () => {
    const manifest = await fetch(`${server.url}/manifest.webmanifest`);
    expect(manifest.headers.get('content-type')).toContain('application/manifest+json');
    const {
      icons,
      start_url: begin,
      display,
    } = (await manifest.json()) as {
      icons: { src: string; sizes: string }[];
      start_url: string;
      display: string;
    };
    expect({ begin, display }).toEqual({ begin: '/', display: 'standalone' });
    for (const { src } of icons) {
      const icon = await fetch(`${server.url}${src}`);
      expect([icon.status, icon.headers.get('content-type')]).toEqual([200, 'image/png']);
    }
    const page = await fetch(`${server.url}/p/${project}/route`);
    const policy = page.headers.get('content-security-policy')!;
    expect(policy).toMatch(/script-src 'self' 'sha256-[^']+';/);
    expect(policy).toContain("frame-ancestors 'none'");
    const ran = await phone.page.evaluate(() => {
      const script = document.createElement('script');
      script.textContent = 'window.injected = true';
      document.body.append(script);
      return 'injected' in window;
    });
    expect(ran).toBe(false);
    const answer = await fetch(`${server.url}/api/projects`);
    expect(answer.headers.get('content-security-policy')).toBe(
      "default-src 'none'; frame-ancestors 'none'",
    );
    expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
  });
});
