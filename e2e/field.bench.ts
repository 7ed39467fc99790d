import { takeAlongPage } from '@cordel/text/pages/takeAlong/TakeAlongPage';
import type { Browser, Page } from 'puppeteer-core';
import { v7 as uuid } from 'uuid';
import {
  PHONE,
  type Server,
  appIsKept,
  closureFinder,
  lineTo,
  makeProject,
  newPerson,
  press,
  readApi,
  removeServer,
  sees,
  startBrowser,
  startServer,
  until,
} from './app.ts';
import { type Figure, reportFigures } from './benchReport.ts';
import { attemptOn, evidenceOf, openSplices } from './evidence.ts';
import { askAs, firstOwner } from './people.ts';

/** A phone's processor is so many times slower. */
const SLOWER = 4;
/** Cold starts, of which the middle one counts. */
const STARTS = 5;
/** Splices of a night, of each of two phones. */
const NIGHT = 600;
/** Attempts by which signing in is weighed. */
const ATTEMPTS = 400;
/** A project of 86 400 splices. */
const CLOSURES = 300;
const FIBERS = 288;

const median = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]!;

/** What a recorded attempt costs on a server where people sign in, against one where nobody does. */
async function signedIn(): Promise<Figure[]> {
  const [open, served] = await Promise.all([
    startServer({ demo: true }),
    startServer({ serve: true }),
  ]);
  try {
    const owner = await firstOwner(served);
    const { project, ids } = await openSplices(open, 200);
    await askAs(
      served,
      owner,
      '/documents',
      await readApi(open, `/projects/${project}/document.json`),
    );
    const times: Record<'open' | 'served', number[]> = { open: [], served: [] };
    for (let count = 0; count < ATTEMPTS; count++) {
      const entries = [attemptOn(ids[count % ids.length]!)];
      // In turn: what the machine does besides weighs on both.
      for (const name of count % 2
        ? (['open', 'served'] as const)
        : (['served', 'open'] as const)) {
        const begun = performance.now();
        await (name === 'open'
          ? askAs(open, {}, '/evidence', { entries })
          : askAs(served, owner, '/evidence', { entries }));
        if (count >= 50) times[name].push(performance.now() - begun);
      }
    }
    return [
      {
        name: 'signed-in-record',
        value: median(times.served) / median(times.open),
        limit: 1.3,
        unit: `times the ${median(times.open).toFixed(1)} ms that a recorded attempt takes where nobody signs in`,
      },
    ];
  } finally {
    await removeServer(open);
    await removeServer(served);
  }
}

/** The compiler marks functions with a helper that the page does not have. */
const HELPER = 'globalThis.__name = (given) => given';

/** How long a phone without signal takes to show the Bench, started cold. */
async function coldStart(server: Server, browser: Browser): Promise<Figure[]> {
  const line = await lineTo(server);
  try {
    const [project] = await readApi<{ id: string }[]>(server, '/projects');
    const id = (await closureFinder(server, project!.id))('Dairy lane');
    const { context, page } = await newPerson(browser, { ...server, url: line.url }, 'M.', PHONE);
    await page.evaluateOnNewDocument(HELPER);
    await page.goto(`${line.url}/p/${project!.id}/kit/take-along`, { waitUntil: 'networkidle2' });
    await press(page, takeAlongPage('takeIt'));
    await sees(page, 'On this device as of');
    await appIsKept(page);
    await page.close();
    line.cut();
    const seconds: number[] = [];
    for (let round = 0; round < STARTS; round++) {
      const fresh = await context.newPage();
      await fresh.setViewport(PHONE);
      await fresh.emulateCPUThrottling(SLOWER);
      const begun = performance.now();
      await fresh.goto(`${line.url}/p/${project!.id}/bench/${id}`, {
        waitUntil: 'domcontentloaded',
      });
      await fresh.waitForSelector('::-p-aria(Save, next)', { timeout: 60_000 });
      seconds.push((performance.now() - begun) / 1000);
      await fresh.close();
    }
    await context.close();
    return [
      {
        name: 'cold-start',
        value: median(seconds),
        limit: 3,
        unit: `s until the Bench is shown without signal, the processor ${SLOWER} times slower; the middle one of ${STARTS}`,
      },
    ];
  } finally {
    line.close();
  }
}

/** Puts what a night without signal leaves into the outbox of a page. */
const fillOutbox = (page: Page, writes: readonly object[]) =>
  page.evaluate(
    (list) =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('cordel-commands', 1);
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const change = opening.result.transaction('writes', 'readwrite');
          for (const write of list) change.objectStore('writes').put(write);
          change.oncomplete = () => {
            opening.result.close();
            resolve();
          };
        };
      }),
    writes,
  );

/** How long the work of two phones takes to be in once there is signal, and how smooth a page is meanwhile. */
async function comeTogether(server: Server, browser: Browser): Promise<Figure[]> {
  const { project, ids } = await openSplices(server, NIGHT);
  const phones = await Promise.all(
    ['One', 'Two'].map((name) => newPerson(browser, server, name, PHONE)),
  );
  const made: string[] = [];
  const first = `${server.url}/p/${project}/route`;
  for (const { page } of phones) {
    await page.evaluateOnNewDocument(HELPER);
    await page.goto(first, { waitUntil: 'networkidle2' });
  }
  for (const [index, { page }] of phones.entries()) {
    const writes = Array.from({ length: NIGHT }, (_, count) => {
      const entry = {
        ...attemptOn(ids[count % ids.length]!),
        by: `Phone ${index}`,
        recordId: null,
        recordPosition: null,
        origin: 'typed',
      };
      made.push(entry.id);
      return {
        id: uuid(),
        command: 'evidence.record',
        input: { entries: [entry] },
        person: `Phone ${index}`,
        madeAt: new Date().toISOString(),
        label: 'a splice',
        state: 'waiting',
      };
    });
    await page.setOfflineMode(true);
    await fillOutbox(page, writes);
  }
  for (const { page } of phones)
    await page.evaluate(() => {
      const frames = { count: 0, from: performance.now() };
      const next = () => {
        frames.count++;
        requestAnimationFrame(next);
      };
      requestAnimationFrame(next);
      Object.assign(globalThis, { frames });
    });
  const begun = performance.now();
  for (const { page } of phones) {
    await page.setOfflineMode(false);
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
  }
  await until(
    async () => {
      const kept = await evidenceOf(server, ids.slice(-3));
      return made.filter((id) => kept.has(id)).length >= 6 && kept;
    },
    'the last of both phones',
    120_000,
  );
  const seconds = (performance.now() - begun) / 1000;
  const rates = await Promise.all(
    phones.map(({ page }) =>
      page.evaluate(() => {
        const { frames } = globalThis as unknown as { frames: { count: number; from: number } };
        return (frames.count * 1000) / (performance.now() - frames.from);
      }),
    ),
  );
  const kept = await evidenceOf(server, ids);
  const lost = made.filter((id) => !kept.has(id)).length;
  for (const { context } of phones) await context.close();
  return [
    {
      name: 'come-together',
      value: lost === 0 ? seconds : Infinity,
      limit: 20,
      unit: `s until 2 x ${NIGHT} splices that were made without signal were in, ${lost} lost`,
    },
    {
      name: 'come-together-frames',
      value: 50 / Math.min(...rates),
      limit: 1,
      unit: `parts of 50 frames a second: the page kept ${Math.min(...rates).toFixed(0)} meanwhile`,
    },
  ];
}

/** What taking a project of 86 400 splices along costs, against a plain download of it. */
async function takeAlong(server: Server, browser: Browser): Promise<Figure[]> {
  const names = Array.from({ length: CLOSURES + 1 }, (_, index) => `C${index}`);
  const makeUp = { kind: 'loose-tube', tubes: FIBERS / 12, fibersPerTube: 12 };
  const rows = Array.from({ length: CLOSURES * FIBERS }, (_, index) => {
    const closure = Math.floor(index / FIBERS);
    const fiber = (index % FIBERS) + 1;
    const tray = Math.floor((fiber - 1) / 12) + 1;
    return `P${closure},${tray},${((fiber - 1) % 12) + 1},${names[closure]},${fiber},${names[closure + 1]},${fiber},single`;
  });
  const project = await makeProject(
    server,
    'Long line',
    Object.fromEntries(names.map((name) => [name, makeUp])),
    rows,
  );
  const { page, context } = await newPerson(browser, server, 'M.', PHONE);
  await page.evaluateOnNewDocument(HELPER);
  await page.goto(`${server.url}/p/${project}/kit/take-along`, { waitUntil: 'networkidle2' });
  const plain = await page.evaluate(async (url) => {
    const begun = performance.now();
    await (await fetch(url)).text();
    return performance.now() - begun;
  }, `/api/projects/${project}/document.json`);
  const begun = performance.now();
  await press(page, takeAlongPage('takeIt'));
  await page.waitForFunction(() => document.body.innerText.includes('On this device as of'), {
    timeout: 600_000,
    polling: 200,
  });
  const taken = performance.now() - begun;
  await context.close();
  return [
    {
      name: 'take-along',
      value: taken / plain,
      limit: 3,
      unit: `times the ${(plain / 1000).toFixed(1)} s of a plain download of the same ${CLOSURES * FIBERS} splices`,
    },
  ];
}

const wanted = process.argv.slice(2);
const isAsked = (name: string): boolean => wanted.length === 0 || wanted.includes(name);
const figures: Figure[] = [];
if (isAsked('signed-in-record')) figures.push(...(await signedIn()));
const [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
try {
  if (isAsked('cold-start')) figures.push(...(await coldStart(server, browser)));
  if (isAsked('come-together') || isAsked('come-together-frames'))
    figures.push(...(await comeTogether(server, browser)));
  if (isAsked('take-along')) figures.push(...(await takeAlong(server, browser)));
} finally {
  await browser.close();
  await removeServer(server);
}
reportFigures(figures, 2);
