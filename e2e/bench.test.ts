import { mkdtemp, readFile, readdir, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { alertSheet } from '@cordel/text/pages/bench/AlertSheet';
import { arcPage } from '@cordel/text/pages/bench/ArcPage';
import { benchHead } from '@cordel/text/pages/bench/BenchHead';
import { benchPage } from '@cordel/text/pages/bench/BenchPage';
import { chartsPage } from '@cordel/text/pages/bench/ChartsPage';
import { finished } from '@cordel/text/pages/bench/Finished';
import { inOrderPart } from '@cordel/text/pages/bench/InOrderPart';
import { jointDrill } from '@cordel/text/pages/bench/JointDrill';
import { recordPart } from '@cordel/text/pages/bench/RecordPart';
import { recordsPage } from '@cordel/text/pages/bench/RecordsPage';
import { setupPage } from '@cordel/text/pages/bench/SetupPage';
import { benchShared } from '@cordel/text/pages/bench/shared';
import { shiftPage } from '@cordel/text/pages/bench/ShiftPage';
import { splicerContactTexts } from '@cordel/text/pages/bench/splicerContact';
import { standinPart } from '@cordel/text/pages/bench/StandinPart';
import { stepLine } from '@cordel/text/pages/bench/StepLine';
import { timerBar } from '@cordel/text/pages/bench/TimerBar';
import { common } from '@cordel/text/pages/common';
import { instrumentFields } from '@cordel/text/pages/kit/InstrumentFields';
import { instrumentsPage } from '@cordel/text/pages/kit/InstrumentsPage';
import { outboxStrip } from '@cordel/text/pages/ui/OutboxStrip';
import { jest } from '@jest/globals';
import type { Browser, Page } from 'puppeteer-core';
import {
  type Person,
  type Server,
  chooseFile,
  closeSheet,
  fill,
  lineTo,
  makeProject,
  newId,
  newPerson,
  outboxIsSent,
  press,
  pressMore,
  pressText,
  readApi,
  reasonsText,
  removeServer,
  revisit,
  sees,
  seesNot,
  sleeveOn,
  startBrowser,
  startServer,
  storyteller,
  until,
  visit,
  writeApi,
} from './app.ts';

jest.setTimeout(120_000);

let server: Server;
let browser: Browser;
let tech: Person;
let projectId: string;
let closureId: string;
const page = () => tech.page;

const LIST = [
  ...Array.from({ length: 10 }, (_, at) => `Ford pit,1,${at + 1},A,${at + 1},B,${at + 1},single`),
  'Ford pit,1,11,B,11,D,1,single',
  ...Array.from({ length: 12 }, (_, at) => `Ford pit,2,1,Q,${at + 1},R,${at + 1},ribbon`),
  ...Array.from({ length: 12 }, (_, at) => `Ford pit,2,2,A,${at + 13},B,${at + 13},ribbon`),
];

interface Row {
  id: string;
  tries: number;
  lossHalfMdb: number | null;
  tray: number;
  slot: number;
}
const rows = async () =>
  (
    await readApi<{ rows: Row[] }>(
      server,
      `/projects/${projectId}/ledger/splices?closureId=${closureId}`,
    )
  ).rows;
/** Waits until the server has what was kept. */
const sent = (check: (list: Row[]) => boolean) =>
  until(async () => check(await rows()), 'what was kept');
interface Record {
  id: string;
  number: number;
  fused: boolean;
  fibers: { estimateMdb: number | null }[];
}
const records = () => readApi<Record[]>(server, `/projects/${projectId}/splicer-records`);

/** A record as another splicer's line would bring it. */
const recordOf = (number: number, estimateMdb: number, part: object = {}) => ({
  id: newId(),
  projectId,
  splicerId: 'single-splicer',
  number,
  at: new Date().toISOString(),
  label: null,
  program: 'SM',
  heater: null,
  fibers: [
    {
      position: 1,
      cleaveLeft: 0.4,
      cleaveRight: 0.3,
      offset: 0.2,
      gap: 12,
      image: null,
      estimateMdb,
      error: null,
    },
  ],
  fused: true,
  tension: 'passed',
  arcs: 10,
  glass: 125,
  temperature: 12,
  pressure: 98,
  humidity: 50,
  ...part,
});
const bring = (...list: unknown[]) =>
  writeApi(server, 'POST', `/projects/${projectId}/splicer-records`, { records: list });

const shown = (on: Page) => on.evaluate(() => document.body.innerText.replace(/\s+/g, ' '));

/**
 * Advice that no technician would follow is found out: an estimate as good as splicers make them (0.02 dB, common
 * practice, no source) is not broken, and one over three times the redo line is not kept while tries are left.
 */
function checkAdvice(text: string, again: boolean): void {
  const figure = /(\d\.\d\d) dB estimate/.exec(text);
  if (!figure || /Tension test failed/.test(text)) return;
  const estimate = Number(figure[1]);
  const cleave = Number(/cleave (\d+\.\d)°/.exec(text)?.[1] ?? 0);
  const offset = Number(/offset (\d+\.\d) um/.exec(text)?.[1] ?? 0);
  if (estimate <= 0.02 && cleave < 1 && offset < 0.5) expect([text, again]).toEqual([text, false]);
  const used = /3 of 3 attempts used|attempts made, 3 allowed|Lead decides/.test(text);
  if (estimate > 0.15 && !used) expect([text, again]).toEqual([text, true]);
}

const STOPPED = 'Splicer stopped before the arc';
/** What the Bench says once a record is in hand, or none comes. */
const ADVISED = /Keep\.|Redo\. |Redo, last attempt\.|Lead decides\.|Splicer stopped before the arc/;

async function clearStop(on: Page): Promise<void> {
  await press(on, STOPPED);
  await press(on, recordPart('clearLoadAgain'));
  await seesNot(on, STOPPED);
}

/** Chooses the fault that the simulated splicer shows next. */
async function chooseFault(on: Page, fault: string): Promise<void> {
  await press(on, standinPart('faultOfTheSimulatedSplicer'));
  await press(on, fault);
}

/** Makes the joint in hand on the stand-in as the Bench advises, until the next one comes. */
async function spliceAsAdvised(on: Page, place: string): Promise<void> {
  for (let arc = 0; arc < 12; arc++) {
    await sleeveOn(on);
    await press(on, standinPart('startTheSplice'));
    await sees(on, ADVISED);
    if ((await shown(on)).includes(STOPPED)) {
      await clearStop(on);
      continue;
    }
    const text = `${await shown(on)} ${await reasonsText(on)}`;
    const again = /Redo\.|Redo, last attempt\./.test(text);
    checkAdvice(text, again);
    await press(on, again ? 'Redo' : 'Save, next');
    if (!again) {
      await on.waitForFunction((was) => !document.body.innerText.includes(was), {}, place);
      return;
    }
    await sees(on, /Attempt \d of 3|3 of 3 attempts used|\d attempts made, 3 allowed/);
  }
  throw new Error(`Not made: ${place}`);
}

beforeAll(async () => {
  [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  const makeUps = {
    A: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 },
    B: { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 },
    Q: { kind: 'ribbon', ribbons: 1 },
    R: { kind: 'ribbon', ribbons: 1 },
    D: { kind: 'drop', fibers: 4 },
  };
  projectId = await makeProject(server, 'Ford line', makeUps, LIST);
  const { closures } = await readApi<{ closures: { id: string }[] }>(
    server,
    `/projects/${projectId}`,
  );
  closureId = closures[0]!.id;
  tech = await newPerson(browser, server, 'T. Hollis');
});
afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
});
afterEach(() =>
  expect(tech.trouble.filter((words) => !/409|ERR_INTERNET/.test(words))).toEqual([]),
);

const bench = () => `${server.url}/p/${projectId}/bench/${closureId}`;
const go = (path = '') => visit(page(), bench() + path);

describe('a shift at the bench, on a phone, against the stand-in', () => {
  const step = storyteller();
  step('is set up by what the plan says, and what does not fit is named', async () => {
    await go();
    await pressMore(page(), benchShared('setUpTheSplicer'));
    await press(page(), 'Single-fiber splicer');
    await sees(page(), setupPage('fits'));
    await press(page(), '40 mm');
    await sees(
      page(),
      /The heater is set for 60 mm sleeves, and these are 40 mm sleeves: they would come out burnt/,
    );
    await press(page(), '60 mm');
    await press(page(), 'MM (multimode)');
    await sees(page(), /MM is made for multimode fiber, and this is single-mode/);
    await press(page(), 'SM (single-mode)');
    await press(page(), setupPage('theSimulatedSplicer'));
    await press(page(), setupPage('beginTheSession'));
    await press(page(), benchHead('more'));
    await sees(page(), splicerContactTexts('nothingReceived'));
    await closeSheet(page());
  });

  step('the arc check is due, and is logged round by round until it passes', async () => {
    await press(page(), benchHead('alerts', { alerts: 1 }));
    await press(page(), alertSheet('arcDue'));
    await sees(page(), /Due\. No good check of this splicer is known/);
    await fill(page(), common('temperature'), '70');
    await sees(page(), '70 C is hotter than any site: did you mean 70 F?');
    await fill(page(), common('temperature'), '54 F');
    await fill(page(), arcPage('pressureOrAltitude'), '450 m');
    for (let round = 1; round <= 6; round++) {
      await press(page(), arcPage('runARoundOnTheSimulated'));
      await sees(page(), new RegExp(`round ${round}: (not )?passed`));
      if ((await shown(page())).includes(`round ${round}: passed`)) break;
    }
    // 54 F are 12.2 C; 450 m are 96.03 kPa by the ICAO standard atmosphere.
    await sees(page(), /Good\. The last good check holds: \d+ arcs left/);
    await sees(page(), /passed, simulated · 12\.2 C, 96\.03 kPa, about 450 m · T\. Hollis/);
    const { log } = await readApi<{ log: { kind: string; passed?: boolean }[] }>(
      server,
      `/projects/${projectId}/bench`,
    );
    expect(log[0]!.kind).toBe('session');
    expect(log.at(-1)).toMatchObject({ kind: 'arc check', passed: true });
  });

  step('the sleeve is asked for before the first strip, step by step', async () => {
    await go();
    await sees(page(), /1\/13 Sleeve on first: 60 mm\./);
    await press(page(), stepLine('nextStep'));
    await page().waitForSelector('[aria-label="Sleeve on"][aria-checked="true"]');
    await sees(page(), 'Holders in: 250 um on the left, 250 um on the right.');
    await press(page(), stepLine('nextStep'));
    // Cut to length before anything is stripped; outside plant fiber has no buffer to strip.
    await sees(page(), /Working length: mark 30 mm back/);
    await press(page(), stepLine('nextStep'));
    await sees(page(), /4\/13 Strip the coating\./);
    // All steps open over the Bench, with their cautions.
    await pressText(page(), 'Strip the coating.');
    await sees(page(), /Glass shards/);
    await closeSheet(page());
    // Half done, it is where it was after a reload.
    await revisit(page());
    await sees(page(), /4\/13 Strip/);
  });

  step('a chip stops it before the arc; an offset is advised to be redone', async () => {
    await chooseFault(page(), 'chip');
    await press(page(), standinPart('startTheSplice'));
    await press(page(), STOPPED);
    await sees(
      page(),
      /It stopped before the arc\. Splicer’s number \d+\. Chip on the end: cleave again/,
    );
    await press(page(), recordPart('clearLoadAgain'));
    await chooseFault(page(), 'offset');
    await press(page(), standinPart('startTheSplice'));
    await sees(page(), /Redo\. Estimate \d\.\d+ dB is over the redo line of 0\.05/);
    expect(await reasonsText(page())).toMatch(/An estimate is not a measured loss/);
    await press(page(), benchHead('redo'));
    await chooseFault(page(), 'no fault');
    await sees(page(), 'Attempt 2 of 3');
  });

  step('ten singles are made as advised, their records counted once', async () => {
    for (let slot = 1; slot <= 10; slot++) {
      await sees(page(), `tray 1 slot ${slot}`);
      if (slot === 5) {
        // The phone is loaded anew while a record is in hand: nothing is lost, nothing counted twice.
        await sleeveOn(page());
        await press(page(), standinPart('startTheSplice'));
        await sees(page(), ADVISED);
        const before = await shown(page());
        await revisit(page());
        if (!before.includes(STOPPED)) {
          await sees(page(), ADVISED);
          await press(page(), benchPage('saveNext'));
          continue;
        }
        await clearStop(page());
      }
      await spliceAsAdvised(page(), `tray 1 slot ${slot} `.trim());
      if (slot === 10) break;
    }
    await sees(page(), benchHead('traySlot', { tray: 1, slot: 11 }));
    await sent((list) =>
      list.every(({ tray, slot, lossHalfMdb }) => tray !== 1 || slot > 10 || lossHalfMdb !== null),
    );
    const fused = (await records()).filter((record) => record.fused).length;
    const tried = (await rows()).reduce((sum, { tries }) => sum + tries, 0);
    expect(tried).toBe(fused);
  });

  step('the end of a drop: a splice-on connector with its own steps and heater', async () => {
    await go('/setup');
    await sees(page(), /What a drop’s end usually loses/);
    await press(page(), 'Splice-on connector');
    await sees(page(), setupPage('fits'));
    await press(page(), benchShared('backToTheBench'));
    await sees(page(), 'Boot, 27 mm sleeve and spring on first.');
    await press(page(), stepLine('nextStep'));
    await spliceAsAdvised(page(), 'tray 1 slot 11');
  });

  step('heater timers run side by side, say whose they are, and survive a reload', async () => {
    await press(page(), timerBar('heaterOnLabel', { label: 'B 11' }));
    // The 27 mm program takes 20 s.
    await sees(page(), /Heater B 11 0:(20|1\d)/);
    await revisit(page());
    await sees(page(), /(Heater|Cooling) B 11 0:\d\d/);
    await seesNot(page(), timerBar('heaterOnLabel', { label: 'B 11 ' }));
  });

  step('a ribbon: the single splicer is named a misfit, the ribbon splicer fits', async () => {
    await sees(page(), benchHead('traySlot', { tray: 2, slot: 1 }));
    const alerts = await page().waitForSelector('[aria-label$="alert"],[aria-label$="alerts"]');
    await alerts!.click();
    await sees(page(), /settings? do(es)? not fit this splice/);
    await go('/setup');
    await sees(page(), /fuses at most 1 at once; 12 fibers lie in this ribbon/);
    await press(page(), 'Ribbon splicer');
    await sees(page(), setupPage('fits'));
    await press(page(), setupPage('countFibers', { count: 4 }));
    await sees(page(), 'The holder must take 12; this one takes 4.');
    await press(page(), setupPage('countFibers', { count: 12 }));
    await press(page(), setupPage('beginTheSession'));
    await sees(page(), 'Ribbon sleeve on first.');
    await press(page(), stepLine('nextStep'));
    await spliceAsAdvised(page(), 'tray 2 slot 1');
    await sent((list) =>
      list.every(({ tray, slot, lossHalfMdb }) => tray !== 2 || slot !== 1 || lossHalfMdb !== null),
    );
  });

  step(
    'a loose tube, ribbonized: the adhesive’s wait and the count of colors are steps',
    async () => {
      await sees(page(), benchHead('traySlot', { tray: 2, slot: 2 }));
      // Act by act: cleaned before the sleeve goes over, and no pause from the clamps on.
      for (const words of [
        /Is the tail long enough\?/,
        /Clean all 36 in/,
        /Ribbon sleeve over the clean fibers/,
        /Set the pads/,
        /Fibers one by one into the guide/,
        /Even out/,
        /Shims or cover in/,
        /From here on without a pause/,
        /a thin bead of adhesive/,
        /one pass out and one back/,
      ]) {
        await sees(page(), words);
        await press(page(), stepLine('nextStep'));
      }
      await sees(page(), /Do not touch for 60 s/);
      await press(page(), stepLine('startClock', { clock: '1:00' }));
      await sees(page(), /Adhesive A 13–24 (1:00|0:5\d)/);
      for (const words of [/Do not touch/, /Trim about 1\/8 in/, /Turn the pads/]) {
        await sees(page(), words);
        await press(page(), stepLine('nextStep'));
      }
      await sees(page(), /Count the colors once more/);
      await spliceAsAdvised(page(), 'tray 2 slot 2');
      await sees(page(), finished('allSpliced'));
    },
  );
});

/** Waits until a record is in hand. */
const inHand = (number: number, on = page()) =>
  until(
    async () => (await reasonsText(on)).includes(`Splicer’s number ${number}`),
    `record ${number} is in hand`,
  );

describe('records that are not as they should be', () => {
  const step = storyteller();
  step('come for splices of another closure of the demo', async () => {
    projectId = (await readApi<{ id: string; name: string }[]>(server, '/projects')).find(
      ({ name }) => name !== 'Ford line',
    )!.id;
    const { closures } = await readApi<{ closures: { id: string; name: string }[] }>(
      server,
      `/projects/${projectId}`,
    );
    closureId = closures.find(({ name }) => name === 'Dairy lane')!.id;
    await go('/setup');
    await press(page(), 'Single-fiber splicer');
    await press(page(), benchShared('backToTheBench'));
    await sees(page(), /\d+ of 143 spliced · tray 7 slot 5/);
    await bring(recordOf(9001, 20, { label: 'Mill race' }));
    await press(page(), recordPart('whichSpliceIsNumber', { number: 9001 }));
    await sees(
      page(),
      /Which splice is number 9001\? It is labeled “Mill race”, and this is Dairy lane/,
    );
    await press(page(), recordPart('itIsNoneOfThese'));
    await press(page(), recordPart('anotherCrewsSplice'));
    await seesNot(page(), 'number 9001?');
  });

  step(
    'an estimate of 99 dB and a clock an hour off are said, and the figure is typed',
    async () => {
      const early = new Date(Date.now() - 3_600_000).toISOString();
      await bring(recordOf(9002, 99_000, { at: early }));
      await until(async () => {
        const text = await reasonsText(page());
        return (
          text.includes('99.00 dB is not an estimate of a splice: it does not count') &&
          text.includes('The clock of the splicer is 1 h behind')
        );
      }, 'what is doubted of the record');
      await press(page(), '3');
      await press(page(), benchPage('saveNext'));
      await sees(page(), benchHead('traySlot', { tray: 7, slot: 6 }));
    },
  );

  step('the same record twice, and one that comes late, are not counted twice', async () => {
    const record = recordOf(9004, 20);
    await bring(record);
    await inHand(9004);
    await bring({ ...record, id: newId() });
    await press(page(), benchPage('saveNext'));
    await sees(page(), benchHead('traySlot', { tray: 7, slot: 7 }));
    await bring(recordOf(9003, 20));
    await press(page(), recordPart('whichSpliceIsNumber', { number: 9003 }));
    await sees(page(), /number 9003, older than number 9004/);
    await press(page(), recordPart('itIsNoneOfThese'));
    await press(page(), recordPart('theSameArcSentTwice'));
    await seesNot(page(), 'number 9003?');
  });

  step('a second record for the splice in hand is asked about: both tries count', async () => {
    await bring(recordOf(9005, 160));
    await inHand(9005);
    await bring(recordOf(9006, 20));
    await press(page(), recordPart('whichSpliceIsNumber', { number: 9006 }));
    await sees(
      page(),
      /Which splice is number 9006\? It is a second record for the splice in hand/,
    );
    await press(page(), recordPart('resplicedKeepBothAttempts'));
    await inHand(9006);
    await press(page(), benchPage('saveNext'));
    await sees(page(), benchHead('traySlot', { tray: 7, slot: 8 }));
    await sent((list) =>
      list.some(
        ({ tray, slot, tries, lossHalfMdb }) =>
          tray === 7 && slot === 7 && tries === 2 && lossHalfMdb === 40,
      ),
    );
  });

  step('a slip is taken back, and its record is in hand again', async () => {
    await press(page(), 'Undo C 79');
    await sees(page(), benchHead('traySlot', { tray: 7, slot: 7 }));
    await inHand(9006);
    await press(page(), benchPage('saveNext'));
    await sees(page(), benchHead('traySlot', { tray: 7, slot: 8 }));
  });

  step('what came in while the line was lost is there when it is back', async () => {
    const line = await lineTo(server);
    const away = await newPerson(browser, { ...server, url: line.url }, 'M. Quill');
    await visit(away.page, `${line.url}${new URL(bench()).pathname}/setup`);
    await press(away.page, 'Single-fiber splicer');
    await press(away.page, benchShared('backToTheBench'));
    await sees(away.page, benchHead('traySlot', { tray: 7, slot: 8 }));
    line.cut();
    await bring(recordOf(9007, 20));
    await inHand(9007);
    // It is on the server, and this phone cannot know of it.
    expect(await shown(away.page)).not.toContain('number 9007');
    line.restore();
    await inHand(9007, away.page);
    await away.context.close();
    line.close();
    await press(page(), benchPage('saveNext'));
    await sees(page(), benchHead('traySlot', { tray: 7, slot: 9 }));
  });

  step(
    'two phones with one splicer: the second is told that the record counts already',
    async () => {
      const other = await newPerson(browser, server, 'M. Quill');
      await visit(other.page, `${bench()}/setup`);
      await press(other.page, 'Single-fiber splicer');
      await press(other.page, benchShared('backToTheBench'));
      await sees(other.page, benchHead('traySlot', { tray: 7, slot: 9 }));
      await bring(recordOf(9008, 20));
      await inHand(9008);
      await inHand(9008, other.page);
      await press(page(), benchPage('saveNext'));
      await sees(page(), benchHead('traySlot', { tray: 7, slot: 10 }));
      await sent((list) =>
        list.some(({ tray, slot, tries }) => tray === 7 && slot === 9 && tries === 1),
      );
      await press(other.page, benchPage('saveNext'));
      await sees(other.page, outboxStrip('refusedNotAccepted', { refused: 1 }));
      await pressText(other.page, outboxStrip('refusedNotAccepted', { refused: 1 }));
      await sees(other.page, 'it is not counted twice');
      const row = (await rows()).find(({ tray, slot }) => tray === 7 && slot === 9);
      expect(row!.tries).toBe(1);
      await other.context.close();
    },
  );

  step(
    'a file of records is matched by column, its bad rows named, and imported once',
    async () => {
      await go('/records');
      const folder = await mkdtemp(join(tmpdir(), 'cordel-records-'));
      const bad = join(folder, 'bad.csv');
      await writeFile(bad, 'no;loss;cleave left\n9100;0.02;0.4\n9101;x0.03;0.5');
      await chooseFile(page(), 'Choose a file', bad);
      await sees(page(), /bad\.csv: 1 record, 1 problem/);
      await sees(page(), /Row 3, estimate, dB\. “x0\.03” is not a figure/);
      const good = join(folder, 'good.csv');
      await writeFile(good, 'no;loss;cleave left\n9100;0.02;0.4');
      for (const words of [/1 new record, 0 here already/, /0 new records, 1 here already/]) {
        await chooseFile(page(), 'Choose a file', good);
        await press(page(), recordsPage('importRecords', { records: 1 }));
        await sees(page(), words);
      }
      await press(page(), benchShared('backToTheBench'));
      await inHand(9100);
      await press(page(), benchPage('saveNext'));
      await sees(page(), benchHead('traySlot', { tray: 7, slot: 11 }));
      await outboxIsSent(page());
    },
  );

  step('records of a file are taken for the fibers that wait, in order, at once', async () => {
    const made = async () => (await rows()).filter(({ tries }) => tries > 0).length;
    await go('/records');
    const folder = await mkdtemp(join(tmpdir(), 'cordel-records-'));
    const file = join(folder, 'shift.csv');
    const lines = ['Splicing report;;;', 'No;Date;Time;Loss'];
    for (const at of [2, 0, 1]) lines.push(`${9110 + at};05/04/2026;${8 + at}:15 AM;0.0${at + 1}`);
    await writeFile(file, lines.join('\n'));
    await chooseFile(page(), 'Choose a file', file);
    await sees(page(), 'The titles are in row 2');
    await press(page(), recordsPage('importRecords', { records: 3 }));
    await sees(page(), inOrderPart('takeRecords', { records: 3 }));
    // What was saved before has arrived by now.
    const before = await made();
    await press(page(), inOrderPart('takeRecords', { records: 3 }));
    await sees(page(), '3 records count now.');
    await until(async () => (await made()) === before + 3, 'three splices by their records');
    await rm(folder, { recursive: true, force: true });
  });
});

describe('seeing trouble, planning, practising', () => {
  const step = storyteller();
  step('charts name the blade, and turning it ends the trouble', async () => {
    const slanted = { position: 1, cleaveLeft: 2.4, cleaveRight: 1.9, offset: 0.2 };
    const fiber = { ...slanted, gap: 12, image: null, estimateMdb: null, error: null };
    await bring(
      ...Array.from({ length: 8 }, (_, at) =>
        recordOf(9200 + at, 0, { fused: false, tension: null, fibers: [fiber] }),
      ),
    );
    await go('/charts');
    await sees(page(), /Blade\. Cleave angles rise: about \d\.\d degrees now/);
    await press(page(), chartsPage('logTheBlade'));
    await press(page(), arcPage('bladeTurned'));
    await until(async () => {
      const { log } = await readApi<{ log: { kind: string; what?: string }[] }>(
        server,
        `/projects/${projectId}/bench`,
      );
      return log.some(({ kind, what }) => kind === 'blade' && what === 'turned');
    }, 'the turn of the blade is sent');
    await go('/charts');
    await sees(page(), /Cleave angles too few yet/);
    await seesNot(page(), 'Cleave angles rise');
  });

  step('the shift is planned in a worker: it can be stopped, and says what to know', async () => {
    await visit(page(), `${server.url}/p/${projectId}/bench/shift?closure=${closureId}`);
    await press(page(), shiftPage('planIt'));
    // At once: the whole plan takes a few seconds only.
    const stop = await page().waitForSelector('[aria-label="Stop"]');
    await stop!.evaluate((key) => (key as HTMLElement).click());
    await sees(page(), shiftPage('planIt'));
    await press(page(), shiftPage('planIt'));
    await sees(page(), /\d+ % to finish within the window/);
    await sees(page(), /Last safe moment to begin a tube of 12: \d\d:\d\d/);
    await sees(page(), /Hands are the bottleneck: taken (100|9\d) % of the time/);
    await sees(page(), /One more person: \d+ min sooner\. One more splicer: gains nothing/);
    await sees(page(), /Ribbonizing the loose tubes pays/);
    await sees(page(), 'the plan follows their real pace');
    // Six more sleeves, 190 s apart where 128 s are set. By hand: five gaps of ln(190/128) = 0.395 with
    // weight 1/0.35^2 each, against 1/0.3^2 for none: exp(0.310), 36 % slower.
    const open = (await rows()).filter(
      ({ lossHalfMdb, tries }) => lossHalfMdb === null && tries === 0,
    );
    const began = Date.now() - 3 * 3_600_000;
    const entries = open.slice(0, 6).map((row, at) => {
      const id = newId();
      return {
        type: 'attempt',
        id,
        spliceId: row.id,
        tryId: id,
        by: 'M. Quill',
        at: new Date(began + at * 190_000).toISOString(),
        estimateMdb: 20,
        supersedes: null,
        void: false,
        why: null,
      };
    });
    await writeApi(server, 'POST', '/evidence', { entries });
    await sees(
      page(),
      shiftPage('paceOfThisShiftFromSleeves', { sleeves: 5, pace: '36 % slower than set' }),
    );
  });

  step('the plan goes out as a calendar', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'cordel-calendar-'));
    const session = await page().createCDPSession();
    await session.send('Browser.setDownloadBehavior', {
      behavior: 'allow',
      downloadPath: folder,
      browserContextId: tech.context.id,
    });
    await press(page(), shiftPage('calendarIcs'));
    const names = await until(async () => {
      const list = await readdir(folder);
      return list.some((name) => name.endsWith('.ics')) && list;
    }, 'the calendar');
    const text = await readFile(
      join(
        folder,
        names.find((name) => name.endsWith('.ics'))!,
      ),
      'utf8',
    );
    expect(text).toMatch(/^BEGIN:VCALENDAR\r\n/);
    expect(text).toContain('SUMMARY:Splicing window: Dairy lane');
  });

  step('a practice round is scored, with the reason for each miss', async () => {
    await visit(page(), `${server.url}/p/${projectId}/bench/practice`);
    for (let joint = 1; joint <= 8; joint++) {
      await sees(page(), `Splice ${joint} of 8`);
      await press(page(), 'Set the program');
      await sees(page(), /Right\.|Missed\./);
      await press(page(), jointDrill('nextSplice'));
    }
    await sees(page(), /\d+ of 100 \d of 8 splices right/);
    await press(page(), jointDrill('anotherRound'));
    await sees(page(), jointDrill('splicePlaceOfAll', { place: 1, all: 8 }));
  });

  step('colors are asked on every scheme, and the answer is worked out', async () => {
    await press(page(), benchShared('countingColours'));
    await press(page(), 'VDE 0888 order');
    await sees(page(), /Where is fiber|Which number is it/);
    const choices = await page().$$eval('[role=button]', (keys) =>
      keys
        .map((key) => key.getAttribute('aria-label') ?? '')
        .filter((name) => /^\d+$|fiber \d+ /.test(name)),
    );
    expect(choices.length).toBeGreaterThanOrEqual(3);
    await press(page(), choices[0]!);
    await sees(page(), /(Right|Not that one)\. \d+ full (tube|group|ribbon)s? of \d+ are \d+/);
    await sees(page(), /[01] of 1 right/);
  });

  step('an instrument is copied and set by its own sheet; a bad figure is named', async () => {
    await visit(page(), `${server.url}/p/${projectId}/kit/instruments`);
    await press(page(), 'Copy Single-fiber splicer');
    await fill(page(), instrumentsPage('nameOfTheInstrument'), 'Van 2 splicer');
    await press(page(), instrumentsPage('saveTheInstrument'));
    await sees(page(), 'Van 2 splicer');
    await pressText(page(), 'Edit Van 2 splicer');
    await fill(page(), instrumentFields('heatingOfHeaterProgram', { number: 1 }), '0');
    await press(page(), instrumentsPage('saveTheInstrument'));
    await sees(page(), 'Not saved. heaterPrograms, 0, seconds');
    await fill(page(), instrumentFields('heatingOfHeaterProgram', { number: 1 }), '28');
    await press(page(), 'Add: Holder');
    await fill(page(), instrumentFields('cleaveAngleLimit'), '1.2');
    await press(page(), instrumentsPage('saveTheInstrument'));
    await pressText(page(), 'Edit Van 2 splicer');
    const { instruments } = await readApi<{ instruments: { name: string }[] }>(
      server,
      `/projects/${projectId}/bench`,
    );
    expect(instruments.find(({ name }) => name === 'Van 2 splicer')).toMatchObject({
      heaterPrograms: expect.arrayContaining([expect.objectContaining({ seconds: 28 })]),
      holders: expect.arrayContaining([12]),
      cleaveLimit: 120,
    });
  });
});
