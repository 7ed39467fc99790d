import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { benchShared } from '@cordel/text/pages/bench/shared';
import { linksPages } from '@cordel/text/pages/links/links';
import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import {
  type Person,
  type Server,
  chooseFile,
  fill,
  newPerson,
  press,
  pressKeys,
  readApi,
  removeServer,
  scrollsTo,
  sees,
  seesNot,
  startBrowser,
  startServer,
  storyteller,
  until,
  visit,
} from './app.ts';
import { type QuayLine, makeQuayLine } from './quayLine.ts';

jest.setTimeout(180_000);

let server: Server;
let browser: Browser;
let ana: Person;
let ben: Person;
let line: QuayLine;
let cable: string;
let folder: string;

interface LinkEntry {
  kind: string;
  fiber?: number;
  direction?: string;
  powerMdbm?: number | null;
  seen?: string;
  seenFiber?: number | null;
}
const entries = async () =>
  (
    await readApi<{ entries: LinkEntry[] }>(
      server,
      `/projects/${line.project}/cables/${cable}/links`,
    )
  ).entries;
const recorded = (count: number) =>
  until(async () => (await entries()).length === count, `${count} entries`);

beforeAll(async () => {
  server = await startServer({ demo: true });
  browser = await startBrowser();
  line = await makeQuayLine(server);
  cable = await line.cableId('A');
  ana = await newPerson(browser, server, 'A. Weir');
  ben = await newPerson(browser, server, 'B. Ford');
  folder = await mkdtemp(join(tmpdir(), 'cordel-links-'));
});
afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
  if (folder) await rm(folder, { recursive: true, force: true });
});

const open = async ({ page }: Person, path: string) => {
  await visit(page, `${server.url}/p/${line.project}/ledger/${path}?cable=${cable}`);
};
describe('a link test', () => {
  const step = storyteller();

  step('begins with a reference: nothing is measured before', async () => {
    await open(ana, 'links');
    await sees(ana.page, /No reference at 1550 nm yet/);
    await seesNot(ana.page, linksPages('meterShows'));
    await press(ana.page, linksPages('takeAReference'));
    await fill(ana.page, linksPages('source'), 'Source 2');
    await fill(ana.page, linksPages('meter'), 'Meter 7');
    await fill(ana.page, linksPages('meterReads'), '-7.00');
    await fill(ana.page, linksPages('calibratedUntil'), 'next year');
    await press(ana.page, linksPages('saveTheReference'));
    await sees(ana.page, /Write a date as year-month-day/);
    await fill(ana.page, linksPages('calibratedUntil'), '2031-01-31');
    await press(ana.page, linksPages('saveTheReference'));
    await sees(ana.page, /−7.00 dBm at 1550 nm, Source 2 to Meter 7/);
    await recorded(1);
  });

  step('takes a fiber with its digits and one key, and goes on to the next', async () => {
    await sees(ana.page, /Fiber 1: Harbour office to Light house/);
    // 8.2 km: about 1.7 dB of fiber, 0.1 of splices, 0.5 of connectors.
    await pressKeys(ana.page, '925');
    await sees(ana.page, /Loss 2.25 dB/);
    await press(ana.page, linksPages('recordAndNext'));
    await sees(ana.page, /Fiber 2: Harbour office/);
    await recorded(2);
    expect((await entries())[1]).toMatchObject({
      kind: 'loss',
      fiber: 1,
      direction: 'AB',
      powerMdbm: -9250,
    });
  });

  step(
    'sees a loss that is typed while the meter is set to dBm, and records nothing of it',
    async () => {
      await press(ana.page, benchShared('plusOrMinus'));
      await pressKeys(ana.page, '230');
      await sees(ana.page, /it is a loss. Is the meter set to dB\?/);
      expect(await entries()).toHaveLength(2);
    },
  );

  step('a list from a meter is imported whole or not at all', async () => {
    const path = join(folder, 'meter.csv');
    const row = (fiber: number, from: string, power: string) =>
      `${fiber};${from};1550;${power};-7,00;Source 2;Meter 7`;
    const write = (rows: string[]) =>
      writeFile(path, ['Fibre;From;nm;Power (dBm);Ref;Source;Meter', ...rows].join('\n'));
    const good = [
      row(1, 'Light house', '-9,30'),
      row(2, 'Harbour office', '-9,25'),
      row(2, 'Light house', '-9,31'),
      row(3, 'Harbour office', '-10,85'),
      row(3, 'Light house', '-10,80'),
    ];
    await open(ana, 'link-import');
    await write([...good, row(4, 'Harbour office', '-6,10')]);
    await chooseFile(ana.page, 'Choose a file', path);
    await sees(ana.page, /1 problem/);
    await sees(ana.page, /Row 7, power \(dBm\): “-6,10”/);
    await sees(ana.page, /more light than the reference/);
    await write(good);
    await chooseFile(ana.page, 'Choose a file', path);
    await sees(ana.page, /5 losses\. No problem found/);
    await press(ana.page, linksPages('importThem'));
    await recorded(8);
  });

  step(
    'says of each circuit if it keeps its budget, and what is likely where its parts lose less',
    async () => {
      await open(ana, 'links');
      await sees(ana.page, /At 1550 nm: 3 of 12 measured both ways/);
      await scrollsTo(
        ana.page,
        /2.28 dB both ways, at most [0-9.]+ dB: passes, agrees with its parts/,
      );
      await scrollsTo(ana.page, /A connector or a splice: [0-9.]+ dB more than its parts/);
    },
  );
});

describe('the right fiber at the right port', () => {
  const step = storyteller();

  step('goes on on both phones with what one of them says', async () => {
    await open(ana, 'continuity');
    await open(ben, 'continuity');
    await press(ben.page, linksPages('iSend'));
    await sees(ben.page, /Put light into fiber 1/);
    await sees(ben.page, /at Harbour office/);
    await sees(ana.page, /Look for light at fiber 1/);
    await press(ana.page, linksPages('lightHere'));
    await sees(ana.page, /Look for light at fiber 2/);
    await sees(ben.page, /Put light into fiber 2/);
  });

  step('names two fibers that come out at each other’s ports', async () => {
    for (const [fiber, other] of [
      [2, 3],
      [3, 2],
    ] as const) {
      await sees(ana.page, new RegExp(`Look for light at fiber ${fiber}`));
      await press(ana.page, linksPages('atAnotherPort'));
      await fill(ana.page, linksPages('whichFiber'), String(other));
      await press(ana.page, linksPages('record'));
    }
    await sees(ben.page, /Fibers 2 and 3 are swapped/);
    await sees(ben.page, /Put light into fiber 4/);
  });

  step('goes on without a connection, and both come together behind it', async () => {
    await ana.page.setOfflineMode(true);
    await press(ana.page, linksPages('noLight'));
    await sees(ana.page, /Look for light at fiber 5/);
    await press(ana.page, linksPages('lightHere'));
    await sees(ana.page, /Look for light at fiber 6/);
    await ana.page.setOfflineMode(false);
    await sees(ben.page, /Put light into fiber 6/);
    await sees(ben.page, /Fiber 4: no light/);
    expect((await entries()).filter(({ kind }) => kind === 'continuity')).toMatchObject([
      { fiber: 1, seen: 'here' },
      { fiber: 2, seen: 'elsewhere', seenFiber: 3 },
      { fiber: 3, seen: 'elsewhere', seenFiber: 2 },
      { fiber: 4, seen: 'none' },
      { fiber: 5, seen: 'here' },
    ]);
    expect([...ana.trouble, ...ben.trouble]).toEqual([]);
  });
});
