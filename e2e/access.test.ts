import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { setupPage } from '@cordel/text/pages/bench/SetupPage';
import { common } from '@cordel/text/pages/common';
import { ledgerShared } from '@cordel/text/pages/ledger/shared';
import { keys } from '@cordel/text/pages/ui/keys';
import { uiShared } from '@cordel/text/pages/ui/shared';
import { jest } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import {
  PHONE,
  WIDE,
  type Person,
  type Server,
  closureFinder,
  newPerson,
  press,
  readApi,
  removeServer,
  sees,
  startBrowser,
  startServer,
  visit,
} from './app.ts';

jest.setTimeout(480_000);

interface Axe {
  run(options: unknown): Promise<{
    violations: { id: string; help: string; nodes: { html: string; failureSummary: string }[] }[];
  }>;
}

let server: Server;
let browser: Browser;
let person: Person;
let axe: string;
let views: Record<string, string>;

beforeAll(async () => {
  [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  axe = await readFile(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');
  person = await newPerson(browser, server, 'M.');
  const project = (await readApi<{ id: string }[]>(server, '/projects'))[0]!.id;
  const id = await closureFinder(server, project);
  const { rows } = await readApi<{ rows: { id: string }[] }>(
    server,
    `/projects/${project}/ledger/redo`,
  );
  const cable = (await readApi<{ cables: { id: string }[] }>(server, `/projects/${project}`))
    .cables[0]!.id;
  views = {
    projects: '/projects',
    'new project': '/projects/new',
    route: `/p/${project}/route`,
    closure: `/p/${project}/route/${id('Sluice bridge')}`,
    'bench start': `/p/${project}/bench`,
    'bench single': `/p/${project}/bench/${id('Dairy lane')}`,
    'bench ribbon': `/p/${project}/bench/${id('Quarry gate')}`,
    'bench measure': `/p/${project}/bench/${id('Dairy lane')}?mode=measure`,
    'bench setup': `/p/${project}/bench/${id('Dairy lane')}/setup`,
    'bench arc check': `/p/${project}/bench/${id('Dairy lane')}/arc`,
    'bench charts': `/p/${project}/bench/${id('Dairy lane')}/charts`,
    'bench records': `/p/${project}/bench/${id('Dairy lane')}/records`,
    shift: `/p/${project}/bench/shift?closure=${id('Dairy lane')}`,
    practice: `/p/${project}/bench/practice`,
    instruments: `/p/${project}/kit/instruments`,
    ledger: `/p/${project}/ledger`,
    'ledger fibers': `/p/${project}/ledger?view=fibers`,
    'ledger splices': `/p/${project}/ledger?view=splices&q=tube+9`,
    'ledger search': `/p/${project}/ledger?q=tube+9&found=1`,
    'cable record': `/p/${project}/ledger?q=A&found=1&open=cable.${cable}`,
    'ledger redo': `/p/${project}/ledger?view=redo`,
    'splice record': `/p/${project}/ledger?view=redo&open=splice.${rows[0]!.id}`,
    traces: `/p/${project}/ledger/traces`,
    findings: `/p/${project}/ledger/findings`,
    'trace view': `/p/${project}/ledger/circuit`,
    budget: `/p/${project}/ledger/budget`,
    plan: `/p/${project}/route/${id('School rise')}/plan`,
    circuits: `/p/${project}/route/circuits`,
    open: `/p/${project}/route/${id('School')}/open`,
    close: `/p/${project}/route/${id('Kiln yard')}/close`,
    'close test': `/p/${project}/route/${id('Ferry steps')}/close?part=test`,
    'close sign': `/p/${project}/route/${id('Ferry steps')}/close?part=sign`,
    'close visits': `/p/${project}/route/${id('Ferry steps')}/close?part=visits`,
    labels: `/p/${project}/kit/labels`,
    'hand over': `/p/${project}/kit/handover`,
    'cable list': `/p/${project}/kit/cable-list`,
    'route import': `/p/${project}/kit/route-import`,
    scan: '/scan',
    hardware: `/p/${project}/kit/hardware`,
    pack: `/p/${project}/kit/pack`,
    kit: `/p/${project}/kit`,
    settings: `/p/${project}/kit/settings`,
    cables: `/p/${project}/kit/cables`,
    closures: `/p/${project}/kit/closures`,
    'cables and closures': `/p/${project}/kit/network`,
    schemes: `/p/${project}/kit/schemes`,
    import: `/p/${project}/kit/import`,
    'not found': '/nowhere',
  };
});
afterAll(async () => {
  await browser.close();
  await removeServer(server);
});

/** Chooses the splicer whose records the demo has, so that its pages have something to show. */
async function chooseSplicer(page: Page): Promise<void> {
  await visit(page, server.url + views['bench setup']!);
  await press(page, 'Single-fiber splicer');
  await sees(page, setupPage('fits'));
}

/** What a page is checked for; the second look at the same page is for what the colors change. */
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice'];
const COLOR_RULES = { type: 'rule', values: ['color-contrast', 'link-in-text-block'] };

async function violations(page: Page, runOnly: unknown = RULES): Promise<string[]> {
  const { violations: found } = await page.evaluate(
    (only) => (globalThis as unknown as { axe: Axe }).axe.run({ runOnly: only }),
    runOnly,
  );
  return found.map(
    ({ id, help, nodes }) =>
      `${id}: ${help} (${nodes.length}) ${nodes[0]!.html.slice(0, 220)} ${nodes[0]!.failureSummary.slice(0, 300)}`,
  );
}

/** Shows the same page by day or at night. */
async function inColors(page: Page, scheme: 'light' | 'dark'): Promise<void> {
  const colors = () =>
    [...document.querySelectorAll('#root [dir]')]
      .map((node) => getComputedStyle(node).color)
      .join();
  const before = await page.evaluate(colors);
  await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: scheme }]);
  await page.waitForFunction(`(${colors.toString()})() !== ${JSON.stringify(before)}`);
}

it('axe-core finds no violation on any main view, and no other host is asked', async () => {
  const { page } = person;
  await page.setViewport(PHONE);
  await chooseSplicer(page);
  const found: string[] = [];
  for (const [name, path] of Object.entries(views)) {
    const note = (size: string, words: string[]) =>
      found.push(...words.map((word) => `${name} on ${size}: ${word}`));
    await visit(page, server.url + path);
    // On a busy machine a page may still be reading.
    await page.waitForSelector('[aria-level="1"], h1');
    await page.evaluate(axe);
    note('a phone', await violations(page));
    await inColors(page, 'dark');
    note('a phone at night', await violations(page, COLOR_RULES));
    await inColors(page, 'light');
    await page.setViewport(WIDE);
    note('a wide screen', await violations(page));
    await page.setViewport(PHONE);
  }
  expect(found).toEqual([]);
  expect(person.trouble).toEqual([]);
});

it('the Bench has contrast for sunlight: AAA', async () => {
  await person.page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: 'light' }]);
  await person.page.setViewport(PHONE);
  await visit(person.page, server.url + views['bench single']!);
  await person.page.evaluate(axe);
  const { violations: found } = await person.page.evaluate(() =>
    (globalThis as unknown as { axe: Axe }).axe.run({
      runOnly: { type: 'rule', values: ['color-contrast-enhanced'] },
      rules: { 'color-contrast-enhanced': { enabled: true } },
    }),
  );
  expect(
    found.flatMap(({ nodes }) =>
      nodes.map((node) => `${node.html.slice(0, 200)} ${node.failureSummary}`),
    ),
  ).toEqual([]);
});

it('touch targets of the Bench are 48 px and more', async () => {
  await visit(person.page, server.url + views['bench ribbon']!);
  const small = await person.page.$$eval('[role=button]', (nodes) =>
    nodes
      .map(
        (node) =>
          ({ name: node.getAttribute('aria-label'), ...node.getBoundingClientRect().toJSON() }) as {
            name: string;
            width: number;
            height: number;
          },
      )
      .filter(({ width, height }) => width < 48 || height < 48)
      .map(({ name, width, height }) => `${name}: ${width} x ${height}`),
  );
  expect(small).toEqual([]);
});

it('864 rows and more stay a small page while they are scrolled', async () => {
  await visit(person.page, `${server.url}${views['ledger splices']!.split('?')[0]}?view=splices`);
  await sees(person.page, ledgerShared('splices', { count: 1_517 }));
  const nodes = () => person.page.evaluate(() => document.querySelectorAll('*').length);
  let most = await nodes();
  await person.page.mouse.move(200, 600);
  // Where the list stands: its rows are counted once it has moved, or is at its end.
  const place = () =>
    person.page.evaluate(() => {
      const list = [...document.querySelectorAll<HTMLElement>('[role=main] *')].sort(
        (a, b) => b.scrollHeight - b.clientHeight - (a.scrollHeight - a.clientHeight),
      )[0]!;
      return {
        top: list.scrollTop,
        end: list.scrollTop + list.clientHeight >= list.scrollHeight - 2,
      };
    });
  let at = await place();
  let farthest = 0;
  for (let step = 0; step < 60; step++) {
    const { top } = at;
    await person.page.mouse.wheel({ deltaY: 2000 });
    // A turn of the wheel while rows are drawn may go unseen: the next one counts.
    for (let looks = 0; looks < 40; looks++) {
      at = await place();
      if (at.top !== top || at.end) break;
    }
    farthest = Math.max(farthest, at.top);
    most = Math.max(most, await nodes());
  }
  expect(farthest).toBeGreaterThan(10_000);
  expect(most).toBeLessThan(2500);
});

it('works from the keyboard: every place can be reached and pressed', async () => {
  await visit(person.page, server.url + views.route!);
  const reached = new Set<string>();
  for (let step = 0; step < 40; step++) {
    await person.page.keyboard.press('Tab');
    const name = await person.page.evaluate(
      () =>
        document.activeElement?.getAttribute('aria-label') ??
        (document.activeElement as HTMLElement | null)?.innerText ??
        '',
    );
    reached.add(name.trim());
    if (name.trim() === 'Kit') break;
  }
  for (const place of ['Route', 'Bench', 'Ledger', 'Kit']) expect(reached).toContain(place);
  await person.page.keyboard.press('Enter');
  await sees(person.page, common('importASpliceList'));
  await press(person.page, uiShared('keys'));
  await sees(person.page, keys('saveNext'));
});
