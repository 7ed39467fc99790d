import { appendFile, cp, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { jest } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import {
  type Person,
  type Server,
  freePort,
  newPerson,
  pressText,
  readApi,
  sees,
  startBrowser,
  startServer,
} from './app.ts';

jest.setTimeout(120_000);

const BUILT = new URL('../apps/web/dist', import.meta.url).pathname;

let folder: string;
let port: number;
let server: Server;
let browser: Browser;
let person: Person;
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
  person = await newPerson(browser, server, 'M. Quill');
});
afterAll(async () => {
  await browser?.close();
  await server?.stop('SIGKILL');
  await rm(folder, { recursive: true, force: true });
});

/** The server comes back with another build, as after an update. */
async function update(): Promise<void> {
  await server.stop();
  const index = join(folder, 'web', 'index.html');
  for (const packed of ['.br', '.gz']) await rm(`${index}${packed}`, { force: true });
  await appendFile(index, '<!-- newer -->\n');
  server = await start();
}

/** A mark on the page that a reload takes away. */
const mark = (page: Page) => page.evaluate(() => void Object.assign(window, { marked: true }));
const isMarked = (page: Page) => page.evaluate(() => 'marked' in window);

describe('a page that is open while the server gets a newer build', () => {
  it('loads itself anew once nobody is at it', async () => {
    await person.page.goto(`${server.url}/p/${project}/route`, { waitUntil: 'networkidle2' });
    await sees(person.page, 'Dairy lane');
    await mark(person.page);
    await update();
    await person.page.waitForFunction(() => !('marked' in window), { timeout: 30_000 });
    await person.page.waitForNetworkIdle();
    await sees(person.page, 'Dairy lane');
    // Once, and not again and again.
    await mark(person.page);
    await person.page.waitForNetworkIdle({ idleTime: 6000, concurrency: 1 });
    expect(await isMarked(person.page)).toBe(true);
  });

  it('waits while something is half-typed, and goes on when that is left', async () => {
    await person.page.goto(`${server.url}/p/${project}/ledger`, { waitUntil: 'networkidle2' });
    await person.page.waitForSelector('input');
    await mark(person.page);
    await person.page.type('input', 'A 10');
    await update();
    // Long enough for the page to have heard of it, and to have been left alone.
    await person.page.waitForResponse((answer) => /\/changes\/stream/.test(answer.url()));
    await person.page.waitForNetworkIdle({ idleTime: 9000, concurrency: 1 });
    expect(await isMarked(person.page)).toBe(true);
    expect(await person.page.$eval('input', (field) => field.value)).toBe('A 10');
    await pressText(person.page, 'Route');
    await person.page.waitForFunction(() => !('marked' in window), { timeout: 30_000 });
  });

  it('lets no script run but its own', async () => {
    const page = await fetch(`${server.url}/p/${project}/route`);
    const policy = page.headers.get('content-security-policy')!;
    expect(policy).toMatch(/script-src 'self' 'sha256-[^']+';/);
    expect(policy).toContain("frame-ancestors 'none'");
    const ran = await person.page.evaluate(() => {
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
