import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { common } from '@cordel/text/pages/common';
import { budgetPage } from '@cordel/text/pages/traces/BudgetPage';
import { circuitPage } from '@cordel/text/pages/traces/CircuitPage';
import { fileRows } from '@cordel/text/pages/traces/FileRows';
import { findingsPage } from '@cordel/text/pages/traces/FindingsPage';
import { hereRows } from '@cordel/text/pages/traces/HereRows';
import { otdrPart } from '@cordel/text/pages/traces/OtdrPart';
import { tracesShared } from '@cordel/text/pages/traces/shared';
import { tracesPage } from '@cordel/text/pages/traces/TracesPage';
import { jest } from '@jest/globals';
import type { Browser } from 'puppeteer-core';
import {
  type Person,
  type Server,
  chooseFile,
  fill,
  newPerson,
  press,
  readApi,
  removeServer,
  revisit,
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

jest.setTimeout(120_000);

let server: Server;
let browser: Browser;
let person: Person;
let project: string;
let folder: string;
let line: QuayLine;
const cableId = (name: string) => line.cableId(name);
const shoot: QuayLine['shoot'] = (...task) => line.shoot(...task);
const page = () => person.page;

beforeAll(async () => {
  server = await startServer({ demo: true });
  browser = await startBrowser();
  person = await newPerson(browser, server, 'R. Aldous');
  line = await makeQuayLine(server);
  project = line.project;
  folder = await mkdtemp(join(tmpdir(), 'cordel-traces-'));
});

afterAll(async () => {
  await browser?.close();
  if (server) await removeServer(server);
  await rm(folder, { recursive: true, force: true });
});

describe('from a folder of traces to verdicts, on a phone', () => {
  const step = storyteller();
  step('with no traces, the page says what to do', async () => {
    await visit(page(), `${server.url}/p/${project}/ledger`);
    await press(page(), common('traces'));
    await sees(page(), findingsPage('noTracesYet'));
    await press(page(), tracesShared('importTraces'));
    await sees(page(), 'Drop a folder of .sor files here');
  });

  step(
    'the simulated OTDR shoots a tube from both ends, and its files come in like any',
    async () => {
      await press(page(), tracesShared('simulatedOtdr'));
      await sees(page(), 'never look into a fiber end');
      await fill(page(), common('fibers'), '1-3');
      await press(page(), otdrPart('shoot'));
      await sees(page(), fileRows('filesReadyToFix', { files: 12, ready: 12, wrong: 0 }));
      await sees(
        page(),
        fileRows('nameFiberFromDirectionWavelengthNm', {
          name: 'A-001_AB_1310.sor',
          fiber: 'A 1',
          direction: 'A',
          wavelengthNm: 1310,
        }),
      );
      await press(page(), fileRows('importTraces', { traces: 12 }));
      await sees(page(), 'Imported. 12 traces');
    },
  );

  step('files that do not fit are listed and fixed in place', async () => {
    const paths: string[] = [];
    const keep = async (name: string, bytes: Uint8Array | string) => {
      await writeFile(join(folder, name), bytes);
      paths.push(join(folder, name));
    };
    for (const direction of ['AB', 'BA'])
      for (const nm of [1310, 1550]) {
        const five = await shoot(5, direction, nm);
        // One file was saved under its neighbor's number.
        const slip = direction === 'AB' && nm === 1550;
        await keep(slip ? 'A-006_AB_1550.sor' : five.name, five.bytes);
        const four = await shoot(4, direction, nm, ['brokenHalfway']);
        await keep(four.name, four.bytes);
      }
    await keep('A-099_AB_1310.sor', 'these are notes, no trace');
    const list = await readApi<{ id: string; name: string }[]>(
      server,
      `/projects/${project}/traces`,
    );
    const known = await fetch(`${server.url}/api/traces/${list[0]!.id}/file.sor`);
    await keep('A-007_AB_1310.sor', new Uint8Array(await known.arrayBuffer()));

    await revisit(page());
    await chooseFile(page(), 'Choose files', ...paths);
    await sees(page(), fileRows('filesReadyToFix', { files: 10, ready: 7, wrong: 2 }));
    await sees(page(), 'The name says fiber 6, the file 5.');
    await sees(page(), 'Map, byte 0');
    await sees(page(), '1 file left out, for the same content is here: A-007_AB_1310.sor');
    await press(page(), tracesPage('theFileIsRight'));
    await sees(page(), fileRows('filesReadyToFix', { files: 10, ready: 8, wrong: 1 }));
    await press(page(), fileRows('leaveItOut'));
    await sees(page(), fileRows('filesReadyToFix', { files: 9, ready: 8, wrong: 0 }));
  });

  step(
    'a line that is lost loses nothing: files are kept on the device and sent later',
    async () => {
      await page().setOfflineMode(true);
      await press(page(), fileRows('importTraces', { traces: 8 }));
      await sees(page(), tracesPage('theFilesAreKeptOnThis'));
      await sees(page(), hereRows('waitsToBeSent'));
      // A page that is closed meanwhile takes nothing with it.
      await page().setOfflineMode(false);
      await revisit(page());
      await until(
        async () => (await readApi<unknown[]>(server, `/projects/${project}/traces`)).length === 20,
        'the traces that waited',
      );
      await sees(page(), hereRows('tracesHere', { traces: 20 }));
      await seesNot(page(), 'waits to be sent');
    },
  );

  step('files are had back byte for byte', async () => {
    const list = await readApi<{ id: string; name: string }[]>(
      server,
      `/projects/${project}/traces`,
    );
    expect(list).toHaveLength(20);
    const one = list.find(({ name }) => name === 'A-006_AB_1550.sor')!;
    const back = await fetch(`${server.url}/api/traces/${one.id}/file.sor`);
    const { readFile } = await import('node:fs/promises');
    expect(Buffer.from(await back.arrayBuffer())).toEqual(
      await readFile(join(folder, 'A-006_AB_1550.sor')),
    );
  });

  step('findings say what is bad, why, and where to go', async () => {
    await press(page(), tracesShared('findings'));
    await sees(page(), '20 traces of 5 circuits');
    await sees(page(), 'A 4 is broken');
    await sees(page(), /Cable B, [\d,]+ ± \d+ m of sheath from (Lock gate|Quay steps) toward/);
    await sees(page(), 'the same place from both ends');
  });

  step('figures go into the Ledger, and the verdicts follow', async () => {
    await press(page(), findingsPage('saveFiguresInTheLedger', { figures: 36 }));
    await sees(page(), 'In the Ledger. 36 figures from these traces.');
    const { rows } = await readApi<{
      rows: { verdict: string; fiberA: number; lossHalfMdb: number }[];
    }>(server, `/projects/${project}/ledger/splices?limit=100`);
    const whole = rows.filter(({ fiberA }) => [1, 2, 3, 5].includes(fiberA));
    expect(whole).toHaveLength(8);
    // Judged by hand: the worst two-way average against the project's own limit, both in half-thousandths.
    const { project: settings } = await readApi<{
      project: { limits: { splice: { 'two-way': { single: number } } } };
    }>(server, `/projects/${project}`);
    const limit = 2 * settings.limits.splice['two-way'].single;
    expect(whole.map(({ verdict }) => verdict)).toEqual(
      whole.map(({ lossHalfMdb }) => (lossHalfMdb <= limit ? 'pass' : 'fail')),
    );
    expect(whole.some(({ verdict }) => verdict === 'pass')).toBe(true);
    const broken = rows.filter(({ fiberA }) => fiberA === 4);
    expect(broken.map(({ verdict }) => verdict)).toEqual(['provisional', 'provisional']);
  });

  step('both directions hang on one cord, moved by keys, wheel and the row below', async () => {
    await visit(
      page(),
      `${server.url}/p/${project}/ledger/circuit?cable=${await cableId('A')}&fiber=5`,
    );
    await sees(page(), /A 5: Harbour office to Light house, 8\.\d\d\d km of fiber/);
    await sees(
      page(),
      /Lock gate .* AB -?\d\.\d{3} BA -?\d\.\d{3} dB mean -?\d\.\d{3} ± \d\.\d{3} dB/,
    );
    const canvas = (await page().waitForSelector('canvas'))!;
    const inked = () =>
      canvas.evaluate((node) => {
        const context = (node as HTMLCanvasElement).getContext('2d')!;
        const { width, height } = node as HTMLCanvasElement;
        const { data } = context.getImageData(0, 0, width, height);
        let dark = 0;
        let sum = 0;
        for (let at = 0; at < data.length; at += 4) if (data[at]! < 90) sum += (at / 4) * ++dark;
        return { dark, sum };
      });
    /** Waits until the canvas is drawn as asked. */
    const drawn = (asked: (now: { dark: number; sum: number }) => boolean) =>
      until(async () => {
        const now = await inked();
        return asked(now) && now;
      }, 'the drawing');
    let last = -1;
    // Drawn whole: two looks in a row see the same.
    const before = await drawn(({ dark, sum }) => {
      const still = dark > 800 && sum === last;
      last = sum;
      return still;
    });
    await canvas.focus();
    for (const key of ['+', '+', 'ArrowRight'] as const) await page().keyboard.press(key);
    await drawn(({ sum }) => sum !== before.sum);
    await page().keyboard.press('0');
    await drawn(({ sum }) => sum === before.sum);
    const box = (await canvas.boundingBox())!;
    await page().mouse.move(box.x + box.width / 2, box.y + box.height / 2);
    await page().mouse.wheel({ deltaY: -300 });
    await drawn(({ sum }) => sum !== before.sum);
    await press(page(), circuitPage('all'));
  });

  step('found joints stand beside the instrument’s own table', async () => {
    await press(page(), 'A-006_AB_1550.sor');
    await sees(page(), 'At Found here Instrument says');
    // The one or the other: a splice that loses nothing in this direction is not seen.
    await sees(page(), /[25]\.\d{3} km -?\d\.\d{3} ± \d\.\d{3} dB -?\d\.\d{3} dB/);
  });

  step('the tube as a stack', async () => {
    await press(page(), circuitPage('tubeFromA'));
    await seesNot(page(), 'Beside the instrument');
    await sees(page(), /Fiber 4 differs from its tube\. It ends at \d\.\d+ km; the others/);
  });

  step('the budget says what has no light', async () => {
    await press(page(), tracesShared('budget'));
    await sees(page(), budgetPage('circuitsNoLight', { circuits: 1, dark: 'has' }));
    await sees(page(), 'A 4 · Harbour office to Light house');
    await sees(page(), /has light: 11/);
    // Rows far below are drawn once they are scrolled to.
    for (const fiber of [1, 2, 3, 5])
      await scrollsTo(
        page(),
        new RegExp(
          `A ${fiber} · [^·]* nm: measured, with \\d\\.\\d\\d dB assumed for connectors and splitters, \\d\\.\\d\\d of \\d\\.\\d\\d dB, expected`,
        ),
      );
    expect(person.trouble).toEqual([]);
  });
});
