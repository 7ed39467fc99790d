import { createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { once } from 'node:events';
import { common } from '@cordel/text/pages/common';
import ExcelJS from 'exceljs';
import type { Page } from 'puppeteer-core';
import { WIDE, newPerson, press, readApi, removeServer, startBrowser, startServer } from './app.ts';

const ROWS = 200_000;
/** Progress is told within a second, and the page draws on meanwhile. */
const FIRST_WORD_MS = 1000;
const FRAMES = 40;

const TITLES = ['closure', 'tray', 'slot', 'cable A', 'fiber A', 'cable B', 'fiber B', 'method'];
/** A row of a made-up list: closures of 864 splices, one after the other along a cord of cables. */
function rowAt(index: number): (string | number)[] {
  const closure = Math.floor(index / 864);
  const fiber = (index % 864) + 1;
  return [
    `Hut ${closure + 1}`,
    Math.ceil(fiber / 12),
    ((fiber - 1) % 12) + 1,
    `Z${closure}`,
    fiber,
    `Z${closure + 1}`,
    fiber,
    'single',
  ];
}

async function makeFiles(folder: string): Promise<void> {
  const book = new ExcelJS.stream.xlsx.WorkbookWriter({ filename: join(folder, 'list.xlsx') });
  const sheet = book.addWorksheet('List');
  const csv = createWriteStream(join(folder, 'list.csv'));
  sheet.addRow(TITLES).commit();
  csv.write(`${TITLES.join()}\n`);
  for (let index = 0; index < ROWS; index++) {
    sheet.addRow(rowAt(index)).commit();
    if (!csv.write(`${rowAt(index).join()}\n`)) await once(csv, 'drain');
    if (index % 5000 === 0) await new Promise((done) => setImmediate(done));
  }
  sheet.commit();
  await book.commit();
  csv.end();
  await once(csv, 'finish');
}

interface Watched {
  first: number;
  took: number;
  frames: number;
}

/** Chooses a list; gives when the first word of it was shown, when the preview was, and frames meanwhile. */
async function watched(page: Page, url: string, path: string): Promise<Watched> {
  await page.goto(url, { waitUntil: 'networkidle2' });
  const [chooser] = await Promise.all([
    page.waitForFileChooser(),
    press(page, common('chooseAFile')),
  ]);
  await page.evaluate(() => {
    const watch = { start: 0, first: 0, frames: 0, times: [] as number[] };
    (globalThis as unknown as { watch: typeof watch }).watch = watch;
    const input = document.querySelector('input[type=file]')!;
    input.addEventListener('change', () => (watch.start = performance.now()), { capture: true });
    const look = () => {
      const now = performance.now();
      if (watch.start > 0) watch.times.push(now);
      if (
        watch.start > 0 &&
        watch.first === 0 &&
        /rows …|Reading list/.test(document.body.innerText)
      )
        watch.first = now - watch.start;
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  });
  await chooser.accept([path]);
  await page.waitForFunction(
    () => /Import 200,000 splices|problems?:/.test(document.body.innerText),
    { timeout: 240_000, polling: 200 },
  );
  return page.evaluate(() => {
    const { watch } = globalThis as unknown as {
      watch: { start: number; first: number; times: number[] };
    };
    const took = watch.times.at(-1)! - watch.start;
    return { first: watch.first, took, frames: (watch.times.length / took) * 1000 };
  });
}

const folder = await mkdtemp(join(tmpdir(), 'cordel-import-'));
const [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
const wanted = process.argv.slice(2);
let missed = false;
try {
  await makeFiles(folder);
  const { page } = await newPerson(browser, server, 'M.', WIDE);
  // The helper that the loader puts round functions is not there in the page.
  await page.evaluateOnNewDocument('globalThis.__name = (value) => value');
  const [project] = await readApi<{ id: string }[]>(server, '/projects');
  const url = `${server.url}/p/${project!.id}/kit/import`;
  for (const kind of ['xlsx', 'csv']) {
    const name = `import-${kind}`;
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    const { first, took, frames } = await watched(page, url, join(folder, `list.${kind}`));
    const ratio = Math.max(first / FIRST_WORD_MS, FRAMES / frames);
    missed ||= ratio > 1;
    console.log(
      `${name}  ${ratio.toFixed(2)}  limit 1.00  ${ratio <= 1 ? 'ok' : 'MISS'}  (${ROWS.toLocaleString('en')} rows: first word after ${first.toFixed(0)} of ${FIRST_WORD_MS} ms, ${frames.toFixed(0)} frames a second, at least ${FRAMES}, until the preview stood after ${(took / 1000).toFixed(0)} s)`,
    );
  }
} finally {
  await browser.close();
  await removeServer(server);
  await rm(folder, { recursive: true, force: true });
}
process.exit(missed ? 3 : 0);
