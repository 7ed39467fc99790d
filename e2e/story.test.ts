import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { builder } from '@cordel/text/handover/builder';
import { record } from '@cordel/text/handover/record';
import { benchHead } from '@cordel/text/pages/bench/BenchHead';
import { benchPage } from '@cordel/text/pages/bench/BenchPage';
import { finished } from '@cordel/text/pages/bench/Finished';
import { measureKind } from '@cordel/text/pages/bench/MeasureKind';
import { moreSheet } from '@cordel/text/pages/bench/MoreSheet';
import { pickSheet } from '@cordel/text/pages/bench/PickSheet';
import { recordsPage } from '@cordel/text/pages/bench/RecordsPage';
import { benchShared } from '@cordel/text/pages/bench/shared';
import { closingShared } from '@cordel/text/pages/closing/shared';
import { common } from '@cordel/text/pages/common';
import { makeUpForm } from '@cordel/text/pages/kit/MakeUpForm';
import { ledgerPage } from '@cordel/text/pages/ledger/LedgerPage';
import { readingForm } from '@cordel/text/pages/ledger/ReadingForm';
import { rulingForm } from '@cordel/text/pages/ledger/RulingForm';
import { ledgerShared } from '@cordel/text/pages/ledger/shared';
import { spliceRecord } from '@cordel/text/pages/ledger/SpliceRecord';
import { projectFields } from '@cordel/text/pages/projects/ProjectFields';
import { projectList } from '@cordel/text/pages/projects/ProjectList';
import { projectsShared } from '@cordel/text/pages/projects/shared';
import { waysToBegin } from '@cordel/text/pages/projects/WaysToBegin';
import { closureSheet } from '@cordel/text/pages/route/ClosureSheet';
import { routeImportPage } from '@cordel/text/pages/routeImport/RouteImportPage';
import { previewPart } from '@cordel/text/pages/splices/PreviewPart';
import { keys } from '@cordel/text/pages/ui/keys';
import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import {
  PHONE,
  WIDE,
  type Person,
  type Server,
  chooseFile,
  fill,
  newPerson,
  press,
  pressKeys,
  pressMore,
  pressText,
  readApi,
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
} from './app.ts';

jest.setTimeout(120_000);

const TITLES = 'Joint;Cassette;Slot;cable A;fiber A;cable B;fiber B;method;remark';
const singles = Array.from(
  { length: 6 },
  (_, index) =>
    `Weir hut;1;${index + 1};A;${index + 1};B;tube 1 ${['blue', 'orange', 'green', 'brown', 'slate', 'white'][index]};single;north, "old" rack`,
);
const ribbon = Array.from(
  { length: 12 },
  (_, index) => `Weir hut;2;1;Q;${index + 1};R;${index + 1};ribbon;`,
);

let server: Server;
let browser: Browser;
let folder: string;
let tech: Person;
let projectId: string;

const listFile = async (name: string, content: string | Uint8Array) => {
  const path = join(folder, name);
  await writeFile(path, content);
  return path;
};
const go = (path: string) => visit(tech.page, `${server.url}/p/${projectId}${path}`);
const page = () => tech.page;

interface Row {
  fiberA: number;
  tries: number;
  verdict: string;
  lossHalfMdb: number | null;
}
const rows = async () =>
  (await readApi<{ rows: Row[] }>(server, `/projects/${projectId}/ledger/splices`)).rows;
/** Waits until the server has what was recorded. */
const sent = (check: (list: Row[]) => boolean) =>
  until(async () => {
    const list = await rows();
    return check(list) && list;
  }, 'what was recorded');

beforeAll(async () => {
  [server, browser] = await Promise.all([startServer({ demo: true }), startBrowser()]);
  folder = await mkdtemp(join(tmpdir(), 'cordel-lists-'));
  tech = await newPerson(browser, server, null);
});
afterAll(async () => {
  await browser.close();
  await removeServer(server);
});
afterEach(() => expect(tech.trouble).toEqual([]));

describe('from a splice list to proof, on a phone', () => {
  const step = storyteller();
  step('shows the demo on the cord', async () => {
    await visit(page(), server.url);
    await sees(page(), 'Vessamy valley line');
    await sees(page(), /Toll cottage 3\.1 km pass 143 of 143/);
    await sees(page(), /Sluice bridge 7\.4 km 2 to redo/);
  });

  step('makes a project, with an error at its field', async () => {
    await press(page(), common('allProjects'));
    await press(page(), projectsShared('newProject'));
    await press(page(), projectsShared('createProject'));
    await sees(page(), 'Give it a name.');
    await fill(page(), projectFields('projectName'), 'Upper weir');
    await press(page(), projectFields('showAllSettings'));
    await fill(page(), projectFields('aTray'), 'six');
    await press(page(), projectsShared('createProject'));
    await sees(page(), '“six” is not a loss: type it in dB');
    await fill(page(), projectFields('aTray'), '0,06');
    await press(page(), 'VDE 0888 order');
    await press(page(), 'TIA-598 order');
    await press(page(), projectsShared('createProject'));
    await sees(page(), waysToBegin('howDoYouBegin'));
    await pressText(page(), common('importASpliceList'));
    await sees(page(), common('chooseAFile'));
    projectId = /\/p\/([^/]+)/.exec(page().url())![1]!;
  });

  step('refuses a picture renamed .csv in words', async () => {
    await chooseFile(
      page(),
      'Choose a file',
      await listFile('photo.csv', Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10])),
    );
    await sees(page(), 'photo.csv: This is a PNG picture, not a CSV file');
  });

  step('shows every problem of a bad list by row and column, and imports nothing', async () => {
    const bad = [
      ...singles,
      'Weir hut;1;6;A;145;B;tube 1 mauve;glued;',
      'Weir hut;1;1;A;1;B;8;single;',
    ];
    await chooseFile(
      page(),
      'Choose a file',
      await listFile('bad.csv', [TITLES, ...bad].join('\r\n')),
    );
    await sees(page(), 'bad.csv: 8 rows');
    await sees(
      page(),
      /Row 8, method: “glued” “glued” is not a method: write “single” or “ribbon”/,
    );
    await sees(page(), /Row 8, fiber B: “tube 1 mauve” .*is not a color of the TIA-598 order/);
    await sees(page(), /Row 9, Slot: “1” Tray 1 slot 1 is used in row 2 already/);
    await sees(page(), /Row 9, fiber A: “1” Fiber A 1 is spliced in row 2 already/);
    expect((await rows()).length).toBe(0);
  });

  step('passes over a heading, and asks for the method once where no column says it', async () => {
    const titles = TITLES.replace(';method', '');
    const rows = singles.map((row) => row.replace(';single;', ';'));
    await chooseFile(
      page(),
      'Choose a file',
      await listFile('heading.csv', ['Job 12', '', titles, ...rows].join('\r\n')),
    );
    await sees(page(), recordsPage('theTitlesAreInRow', { row: 3 }));
    await sees(page(), /Ready\. 6 splices in 1 closure/);
    await press(page(), common('ribbon'));
    // What the cables are made of is proposed anew.
    await sees(page(), /A 12 fibers: 1 ribbon/);
    await press(page(), projectFields('single'));
    await sees(page(), /A 12 fibers: drop/);
  });

  step('matches columns, asks for make-ups and brings all of it in', async () => {
    const text = `\uFEFF${[TITLES, ...singles.map((row) => row.replace('north, "old" rack', '"north, ""old"" rack"')), ...ribbon].join('\r\n')}\r\n`;
    await chooseFile(page(), 'Choose a file', await listFile('good.csv', text));
    await sees(page(), 'good.csv: 18 rows');
    await pressText(page(), '12 fibers: drop');
    await press(page(), makeUpForm('looseTube'));
    await fill(page(), makeUpForm('tubes'), '12');
    await sees(page(), '144 fibers: 12 tubes of 12');
    await sees(page(), /Ready\. 18 splices in 1 closure/);
    await press(page(), previewPart('importSplices', { splices: 18 }));
    await sees(page(), /Imported\. 18 splices, 1 new closure, 4 new cables/);
    await press(page(), routeImportPage('seeTheRoute'));
    await sees(page(), /Weir hut no distance planned 0 of 18/);
  });

  step('asks once who splices, and shows the next splice', async () => {
    await pressText(page(), 'Weir hut');
    await press(page(), closureSheet('startSplicing'));
    await fill(page(), benchShared('nameOrInitials'), 'T. Hollis');
    await press(page(), benchShared('goToTheBench'));
    await sees(
      page(),
      `${benchHead('doneOfTotal', { done: 0, total: 18 })} · ${record('traySlot', { tray: 1, slot: 1 })}`,
    );
    await sees(page(), /A 1 blue tube 1 blue · 1st · BL/);
    await sees(page(), /B 1 blue tube 1 blue · 1st · BL/);
  });

  step('keeps 0.02 dB in two taps, and the next splice comes by itself', async () => {
    await pressKeys(page(), '2');
    // A sleeve found after the heater breaks a good splice: it is asked about first.
    await sees(page(), 'Sleeve on? Check it before the heater.');
    await sleeveOn(page());
    await sees(page(), /Keep\. Likely to pass/);
    await press(page(), benchPage('saveNext'));
    await sees(
      page(),
      `${benchHead('doneOfTotal', { done: 1, total: 18 })} · ${record('traySlot', { tray: 1, slot: 2 })}`,
    );
    await sees(page(), 'A 2 orange');
    await sent((list) => list[0]?.lossHalfMdb === 40 && list[0].tries === 1);
  });

  step('redoes a bad one with new attempts, until the lead is needed', async () => {
    await pressKeys(page(), '12');
    await sees(page(), /Redo\. Estimate 0\.12 dB is over the redo line of 0\.05 dB/);
    await press(page(), benchPage('redo'));
    await sees(page(), 'Attempt 2 of 3');
    await pressKeys(page(), '9');
    await sees(page(), /Redo, last attempt\. Estimate 0\.09 dB is over the redo line/);
    await press(page(), benchPage('redo'));
    await sees(page(), 'Attempt 3 of 3');
    await pressKeys(page(), '8');
    await sees(page(), /Lead decides\. 3 of 3 attempts used/);
    // What was sent to redo is not counted as spliced.
    await sees(page(), closureSheet('doneOfDueSpliced', { done: 1, due: 18 }));
    await press(page(), benchPage('saveNext'));
    await sees(page(), record('traySlot', { tray: 1, slot: 3 }));
    const list = await sent((found) => found[1]?.tries === 3);
    expect(list[1]).toMatchObject({ lossHalfMdb: 160, verdict: 'provisional' });
  });

  step('says what is wrong with 15 dB and keeps nothing', async () => {
    await pressKeys(page(), '1500');
    await sees(
      page(),
      /Check\. 15\.00 dB cannot be a splice; at most 5\.00 dB\. Did you mean 0\.15/,
    );
    await press(page(), benchPage('saveNext'));
    await sees(page(), 'Missing. Enter the loss first.');
    await sees(page(), record('traySlot', { tray: 1, slot: 3 }));
    for (let count = 0; count < 4; count++) await press(page(), benchShared('delete'));
  });

  step('calls a fiber dead with a reason', async () => {
    await pressMore(page(), moreSheet('skipFiber'));
    await press(page(), 'Dead: dead fiber on side A.');
    await sees(page(), record('traySlot', { tray: 1, slot: 4 }));
    await sent((list) => list[2]?.verdict === 'dead');
  });

  step('undoes a slip, and keeps that it was made', async () => {
    await pressKeys(page(), '3');
    await press(page(), benchPage('saveNext'));
    await sees(page(), record('traySlot', { tray: 1, slot: 5 }));
    await press(page(), 'Undo A 4');
    await sees(page(), record('traySlot', { tray: 1, slot: 4 }));
    await sent((list) => list[3]?.verdict === 'open' && list[3].tries === 0);
    const { evidence } = await readApi<{ evidence: { void: boolean; why: string }[] }>(
      server,
      `/splices/${(await readApi<{ rows: { id: string }[] }>(server, `/projects/${projectId}/ledger/splices`)).rows[3]!.id}`,
    );
    expect(evidence).toHaveLength(2);
    expect(evidence[1]).toMatchObject({ void: true, why: expect.stringContaining('Slip') });
  });

  step('takes the rest from the keyboard', async () => {
    for (const [key, next] of [
      ['3', 'tray 1 slot 5'],
      ['1', 'tray 1 slot 6'],
      ['2', 'tray 2 slot 1'],
    ] as const) {
      await page().keyboard.press(key);
      await page().keyboard.press('Enter');
      await sees(page(), next);
    }
    // The second is still to redo, the third is dead.
    await sees(page(), /4 of 17 spliced · tray 2 slot 1/);
  });

  step(
    'types twelve in a row for a ribbon, and loses nothing to a reload in the middle',
    async () => {
      await page().evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
      for (let fiber = 1; fiber <= 5; fiber++) {
        await pressKeys(page(), String(fiber % 3));
        await press(page(), benchPage('nextFiber'));
      }
      await pressKeys(page(), '1');
      await revisit(page());
      await sees(page(), /1 0\.01 2 0\.02 3 0\.00 4 0\.01 5 0\.02 6 0\.01 7 –/);
      await press(page(), benchPage('nextFiber'));
      for (let fiber = 7; fiber <= 12; fiber++) {
        await pressKeys(page(), '1');
        await press(page(), fiber === 12 ? 'Save, next' : 'Next fiber');
      }
      await sees(page(), finished('allSpliced'));
      const list = await sent((found) => found.every((row) => row.verdict !== 'open'));
      expect(list.filter((row) => row.tries === 1)).toHaveLength(16);
    },
  );

  step(
    'adds one-way readings from both ends, and the verdict follows from their mean',
    async () => {
      await press(page(), finished('addMeasuredFigures'));
      await sees(page(), 'A to B at 1310 nm');
      await pressKeys(page(), '31');
      await sees(
        page(),
        /Spliced\. One-way 0\.31 dB at 1310 nm is high: measure B to A before a redo/,
      );
      await press(page(), benchPage('saveNext'));
      await sees(page(), record('traySlot', { tray: 1, slot: 2 }));
      await press(page(), 'A to B at 1310 nm');
      await press(page(), benchShared('bToA'));
      await press(page(), benchShared('done'));
      await press(page(), benchShared('plusOrMinus'));
      await pressKeys(page(), '27');
      await sees(page(), '−0.27');
      await sees(page(), /Directions differ by 0\.58 dB .* Only the average counts/);
      await press(page(), benchPage('saveNext'));
      await sent((list) => list[0]?.lossHalfMdb === 40);
    },
  );

  step('adds a two-way average by hand in the record of a splice', async () => {
    const [first] = (
      await readApi<{ rows: { id: string }[] }>(server, `/projects/${projectId}/ledger/splices`)
    ).rows;
    await go(`/ledger?view=splices&open=splice.${first!.id}`);
    await sees(page(), /Missing: two-way at 1550 nm/);
    await press(page(), spliceRecord('addAMeasuredFigure'));
    await press(page(), '1550 nm');
    await press(page(), measureKind('twoWayAverage'));
    await fill(page(), readingForm('loss'), 'abc');
    await press(page(), ledgerShared('recordIt'));
    await sees(page(), '“abc” is not a loss');
    await fill(page(), readingForm('loss'), '0.045');
    await press(page(), ledgerShared('recordIt'));
    await sees(page(), 'Measured.');
    await sees(page(), /two-way at 1550 nm 0\.045 dB, typed/);
    await sent((list) => list[0]?.verdict === 'pass');
  });

  step('accepts with who and why', async () => {
    const second = (
      await readApi<{ rows: { id: string }[] }>(server, `/projects/${projectId}/ledger/splices`)
    ).rows[1]!;
    await go(`/ledger?view=splices&open=splice.${second.id}`);
    await sees(page(), /Estimate 0\.08 dB is over 0\.05 dB\. 3 of 3 attempts used: needs the lead/);
    await press(page(), spliceRecord('acceptRedoSkipOrRemove'));
    await press(page(), ledgerShared('recordIt'));
    await sees(page(), 'Say why.');
    await fill(page(), common('why'), 'Owner accepts 0.08 dB here.');
    await press(page(), ledgerShared('recordIt'));
    await sees(page(), /Accepted by the lead\. Accepted by T\. Hollis: Owner accepts/);
    await sent((list) => list[1]?.verdict === 'accepted');
  });
});

describe('the Ledger', () => {
  const step = storyteller();
  step(
    'shows fibers, trays, closures and splices, filtered, sorted and searched, with links that hold',
    async () => {
      const demo = (await readApi<{ id: string; name: string }[]>(server, '/projects')).find(
        (project) => project.name === 'Vessamy valley line',
      )!;
      await visit(page(), `${server.url}/p/${demo.id}/ledger`);
      await sees(page(), /836 of 1515 spliced/);
      await press(page(), common('fibers'));
      await fill(page(), pickSheet('search'), 'A 100');
      await sees(page(), /1 fiber A 100 brown/);
      await sees(page(), 'tube 9 yellow · brown');
      await press(page(), builder('splices'));
      await press(page(), closingShared('clear'));
      await sees(page(), ledgerShared('splices', { count: 1_517 }));
      await press(page(), rulingForm('toRedo'));
      await sees(page(), /\d+ splices/);
      await fill(page(), pickSheet('search'), 'sluice');
      await sees(page(), ledgerShared('splices', { count: 2 }));
      await sees(page(), 'B 43 to C 43');
      expect(page().url()).toMatch(/view=splices.*q=sluice.*verdict=redo|verdict=redo.*q=sluice/);
      await revisit(page());
      await sees(page(), ledgerShared('splices', { count: 2 }));
      await press(page(), benchPage('redo'));
      await sees(page(), /All wavelengths alike: the splice itself/);
      await page().goBack();
      await sees(page(), ledgerShared('splices', { count: 2 }));
    },
  );

  step('has list and record side by side on a wide screen', async () => {
    await page().setViewport(WIDE);
    await press(page(), common('trays'));
    await sees(page(), ledgerPage('chooseARowItsRecordOpens'));
    const row = await page().waitForSelector('::-p-text(Sluice bridge · tray 4)');
    await row!.click();
    await sees(page(), ledgerShared('itsSplices'));
    await sees(page(), '0.237');
    await page().keyboard.press('?');
    await sees(page(), keys('goToTheRoute'));
    await page().keyboard.press('Escape');
    await seesNot(page(), keys('goToTheRoute'));
    await page().keyboard.press('g');
    await page().keyboard.press('r');
    await sees(page(), closureSheet('redoInThisOrder'));
    await page().setViewport(PHONE);
  });

  step('gives the project out and takes it in on another server, the same', async () => {
    const out = await (await fetch(`${server.url}/api/projects/${projectId}/document.json`)).text();
    const path = await listFile('project.json', out);
    const other = await startServer();
    const reader = await newPerson(browser, other, 'Lead');
    await visit(reader.page, other.url);
    await sees(reader.page, projectList('noProjectYet'));
    await chooseFile(
      reader.page,
      'Import a project',
      await listFile('broken.json', '{"format":"cordel.project"}'),
    );
    await sees(reader.page, /Not imported\. broken\.json: \/version/);
    await chooseFile(reader.page, 'Import a project', path);
    await sees(reader.page, /Weir hut/);
    expect(await (await fetch(`${other.url}/api/projects/${projectId}/document.json`)).text()).toBe(
      out,
    );
    expect(reader.trouble).toEqual([]);
    await removeServer(other);
  });
});
