import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { common } from '@cordel/text/pages/common';
import { projectFields } from '@cordel/text/pages/projects/ProjectFields';
import { projectsShared } from '@cordel/text/pages/projects/shared';
import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import {
  type Person,
  type Server,
  chooseFile,
  fill,
  newPerson,
  press,
  pressText,
  removeServer,
  sees,
  startBrowser,
  startServer,
  visit,
} from './app.ts';

const CLOSURES = 200;
const FIBERS = 1000;

/** A splice list of 200 000 rows, made up. */
const longList = () => [
  'closure,tray,slot,cable A,fiber A,cable B,fiber B,method',
  ...Array.from({ length: CLOSURES }, (_, closure) =>
    Array.from({ length: FIBERS }, (_unused, fiber) =>
      [
        `K${closure + 1}`,
        Math.floor(fiber / 12) + 1,
        (fiber % 12) + 1,
        `S${closure}`,
        fiber + 1,
        `S${closure + 1}`,
        fiber + 1,
        'single',
      ].join(),
    ),
  ).flat(),
];

jest.setTimeout(180_000);

let server: Server;
let browser: Browser;
let person: Person;
let folder: string;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'cordel-lists-'));
  server = await startServer();
  browser = await startBrowser();
  person = await newPerson(browser, server, 'R. Aldous');
});

afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
  await rm(folder, { recursive: true, force: true });
});

const choose = async (name: string, lines: string[]) => {
  const path = join(folder, name);
  await writeFile(path, lines.join('\r\n'));
  await chooseFile(person.page, 'Choose a file', path);
};

test('200 000 rows are checked while the page stays in use, and the one bad row is named', async () => {
  const { page } = person;
  await visit(page, `${server.url}/projects/new`);
  await fill(page, projectFields('projectName'), 'Long line');
  await press(page, projectsShared('createProject'));
  await pressText(page, common('importASpliceList'));
  await sees(page, common('chooseAFile'));
  // The page notes every progress it shows: were it busy reading, it could show none.
  await page.evaluate(() => {
    const shown = new Set<string>();
    Object.assign(window, { shown });
    new MutationObserver(() => {
      const progress = /Checking row [\d,]+ of 200,000/.exec(document.body.innerText);
      if (progress) shown.add(progress[0]);
    }).observe(document.body, { subtree: true, childList: true, characterData: true });
  });
  const lines = longList();
  const bad = lines.with(199_999, lines[199_999]!.replace('single', 'glued'));
  await choose('bad.csv', bad);
  await sees(page, /Row 200000, method: “glued”/);
  await choose('good.csv', lines);
  await sees(page, /Ready\. 200,000 splices in 200 closures/);
  const shown = await page.evaluate(() => (window as unknown as { shown: Set<string> }).shown.size);
  expect(shown).toBeGreaterThan(3);
  expect(person.trouble).toEqual([]);
});
