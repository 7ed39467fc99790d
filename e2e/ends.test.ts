import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { benchPage } from '@cordel/text/pages/bench/BenchPage';
import { endPart } from '@cordel/text/pages/bench/EndPart';
import { benchShared } from '@cordel/text/pages/bench/shared';
import { kitShared } from '@cordel/text/pages/kit/shared';
import { endFacePages } from '@cordel/text/pages/ledger/EndFace';
import { ledgerShared } from '@cordel/text/pages/ledger/shared';
import { spliceRecord } from '@cordel/text/pages/ledger/SpliceRecord';
import { circuitCord } from '@cordel/text/pages/plan/CircuitCord';
import { devicesPart } from '@cordel/text/pages/plan/DevicesPart';
import { lineBuilder } from '@cordel/text/pages/plan/LineBuilder';
import { jest } from '@jest/globals';
import { type Evidence, type Splice } from '@cordel/core';
import { chooseFile, demoOnAPhone, fill, press, readApi, sees, storyteller, until } from './app.ts';
import { grayPng } from './png.ts';

jest.setTimeout(120_000);

/** A fiber's face as a microscope shows it, made up. */
const faceLevel = (isDirty: boolean) => (x: number, y: number) => {
  const off = Math.hypot(x - 160, y - 120);
  if (isDirty && Math.hypot(x - 163, y - 117) < 5) return 30;
  if (off < 8) return 250;
  return off < 80 ? 205 : off < 86 ? 40 : 110;
};

const demo = demoOnAPhone('R. Aldous');
const { page } = demo;

const work = () =>
  readApi<{ splices: Splice[]; evidence: Evidence[] }>(
    demo.server(),
    `/closures/${demo.idOf('Clinic')}/work`,
  );
/** What is recorded of the fiber of cable K that ends at a port. */
const recordedAt = async (port: number) => {
  const { splices, evidence } = await work();
  const end = splices.find(({ end: way, fiberB }) => way === 'mechanical' && fiberB === port)!;
  return evidence.filter(({ spliceId }) => spliceId === end.id);
};
const bench = () =>
  page().goto(`${demo.server().url}/p/${demo.project()}/bench/${demo.idOf('Clinic')}`);
const typeLoss = async (loss: string) => {
  for (const key of loss) await press(page(), key === '.' ? 'Point' : key);
};

describe('a drop is ended mechanically', () => {
  const step = storyteller();

  step('the splice to the splitter comes first, and a splicer estimates it', async () => {
    await bench();
    await sees(page(), /K 5 slate.*SP1 in.*dB estimate/);
    await typeLoss('0.03');
    await press(page(), benchPage('saveNext'));
    await sees(page(), /T1 port 1/);
  });

  step('an end asks for no estimate: light through it, two taps, and it is proven', async () => {
    await sees(page(), /1\/8 Boot on first/);
    await sees(page(), /Light seen No light Face pass Face fail .*dB by meter/);
    await press(page(), endPart('lightSeen'));
    await sees(page(), /Measured\. Within the limit/);
    await press(page(), benchPage('saveNext'));
    await sees(page(), /T1 port 2/);
    const recorded = await until(async () => {
      const entries = await recordedAt(1);
      return entries.length === 2 && entries;
    }, 'the end is recorded');
    expect(recorded).toMatchObject([
      { type: 'attempt', estimateMdb: null, by: 'R. Aldous' },
      { type: 'inspection', light: 'seen', face: null },
    ]);
  });

  step('a loss of 0.30 dB is good for it, though a splice would be redone', async () => {
    await typeLoss('0.30');
    await sees(page(), /Measured\. Within the limit/);
    await press(page(), benchPage('saveNext'));
    await sees(page(), /T1 port 3/);
    const recorded = await until(async () => {
      const entries = await recordedAt(2);
      return entries.length === 2 && entries;
    }, 'the loss is recorded');
    expect(recorded).toMatchObject([
      { type: 'attempt', estimateMdb: null },
      { type: 'reading', grade: 'insertion', lossMdb: 300 },
    ]);
  });

  step('over its own limit of 0.50 dB, or without light, it is made again', async () => {
    await typeLoss('0.51');
    await sees(page(), /Insertion loss 0.51.* is over 0.5/);
    for (let key = 0; key < 4; key++) await press(page(), benchShared('delete'));
    await press(page(), endPart('noLight'));
    await sees(page(), /No light comes through: the wrong fiber, a break or a bad end/);
    await press(page(), benchPage('redo'));
    const recorded = await until(async () => {
      const entries = await recordedAt(3);
      return entries.length === 3 && entries;
    }, 'the end is to be made again');
    expect(recorded).toMatchObject([
      { type: 'attempt', estimateMdb: null },
      { type: 'inspection', light: 'none' },
      { type: 'ruling', kind: 'redo' },
    ]);
  });

  step('the Ledger keeps what was seen, and takes what is seen later', async () => {
    const { splices } = await work();
    const end = splices.find(({ end: way, fiberB }) => way === 'mechanical' && fiberB === 1)!;
    await page().goto(
      `${demo.server().url}/p/${demo.project()}/ledger?view=splices&closure=${demo.idOf('Clinic')}&open=splice.${end.id}`,
    );
    await sees(page(), /at its port.*Mechanical connector.*T1 port 1.*terminal: 12 ports SC APC/);
    await press(page(), spliceRecord('addWhatWasSeen'));
    await press(page(), endPart('facePasses'));
    await press(page(), ledgerShared('recordIt'));
    await sees(page(), /Recorded.*End face passes.*light seen/);
  });
});

describe('an end face under the microscope', () => {
  const step = storyteller();
  let folder: string;
  const picture = async (name: string, levelAt: (x: number, y: number) => number) => {
    const path = join(folder, name);
    await writeFile(path, grayPng(320, 240, levelAt));
    return path;
  };
  beforeAll(async () => {
    folder = await mkdtemp(join(tmpdir(), 'cordel-faces-'));
  });
  afterAll(() => rm(folder, { recursive: true, force: true }));

  step('is graded by marks that are counted by zone', async () => {
    const { splices } = await work();
    const end = splices.find(({ end: way, fiberB }) => way === 'mechanical' && fiberB === 2)!;
    await page().goto(
      `${demo.server().url}/p/${demo.project()}/ledger?view=splices&closure=${demo.idOf('Clinic')}&open=splice.${end.id}`,
    );
    await press(page(), spliceRecord('addWhatWasSeen'));
    await press(page(), endFacePages('countMarks'));
    await sees(page(), /Core, to 25 µm: passes/);
    for (let count = 0; count < 2; count++) await press(page(), 'More: Core: Defects');
    await sees(page(), /Core, to 25 µm: fails Cladding, to 120 µm: passes/);
  });

  step('its picture is looked at before it is kept', async () => {
    const wall = await picture('wall.png', (x, y) => (((x >> 4) + (y >> 4)) % 2 ? 190 : 90));
    await chooseFile(page(), 'Picture of the end face', wall);
    await sees(page(), /This picture shows no end face/);
    const dirty = await picture('dirty.png', faceLevel(true));
    await chooseFile(page(), 'Picture of the end face', dirty);
    await sees(page(), /Picture kept/);
    await press(page(), ledgerShared('recordIt'));
    await sees(page(), /As looked at: fails, R. Aldous.*Looked at once. Not cleaned./);
  });

  step('is looked at again after cleaning: before and after stay side by side', async () => {
    await press(page(), endFacePages('countMarks'));
    for (let count = 0; count < 2; count++)
      await press(page(), 'More: Cleaned since it was looked at before');
    await chooseFile(
      page(),
      'Picture of the end face',
      await picture('clean.png', faceLevel(false)),
    );
    await sees(page(), /Picture kept/);
    await press(page(), ledgerShared('recordIt'));
    await sees(page(), /Before: fails.*After: passes.*Looked at 2 times. Cleaned 2 times./);
    const recorded = await until(async () => {
      const seen = (await recordedAt(2)).filter(({ type }) => type === 'inspection');
      return seen.length === 2 && seen;
    }, 'both looks are recorded');
    expect(recorded).toMatchObject([
      { face: 'fail', marks: { coreDefects: 2 }, cleanings: 0, photoId: expect.any(String) },
      { face: 'pass', marks: { coreDefects: 0 }, cleanings: 2, photoId: expect.any(String) },
    ]);
  });
});

describe('ports and a splitter, by thumb', () => {
  const step = storyteller();

  step('ports are added and a line ends fibers at them', async () => {
    await demo.goTo('Weir gauge', 'plan');
    await press(page(), devicesPart('addPorts'));
    await fill(page(), devicesPart('name'), 'P1');
    await press(page(), devicesPart('panel'));
    await fill(page(), devicesPart('ports'), '12');
    await press(page(), 'UPC');
    await press(page(), kitShared('save'));
    await sees(page(), /P1 ?panel: 12 ports SC UPC/);
    await press(page(), lineBuilder('buildALine'));
    await press(page(), lineBuilder('endAtPorts'));
    await press(page(), 'H');
    await press(page(), lineBuilder('fibers'));
    await fill(page(), lineBuilder('to'), '4');
    await press(page(), 'P1');
    await sees(page(), /terminate H 1-4 on P1 ports 1-4/);
    await press(page(), lineBuilder('addTheLine'));
    await sees(page(), /H 1-4 .*named in line/);
  });

  step('a splitter is added, and says that nothing feeds it', async () => {
    await press(page(), devicesPart('addSplitter'));
    await press(page(), '1:4');
    await sees(page(), /Empty: 7.20 dB, as 1:4 splitters lose at most/);
    await press(page(), kitShared('save'));
    await sees(page(), /splitter 1:4.*Nothing feeds it yet.*at most 7.20 dB to output 1/);
  });

  step('a fiber is followed through the splitter of the demo', async () => {
    const { cables } = await readApi<{ cables: { id: string; name: string }[] }>(
      demo.server(),
      `/projects/${demo.project()}`,
    );
    const k = cables.find(({ name }) => name === 'K')!.id;
    await page().goto(`${demo.server().url}/p/${demo.project()}/route/circuits?cable=${k}&fiber=5`);
    await sees(page(), /SP1: 8 outputs in use; the circuit branches here/);
    await press(page(), circuitCord('branch', { output: 3, fiber: 'T1 port 7', loss: '10.50' }));
    await sees(page(), /Fed through SP1 by K 5|Fed through SP1 by A 17/);
  });

  step('budgets go through it', async () => {
    await page().goto(`${demo.server().url}/p/${demo.project()}/ledger/budget`);
    await sees(page(), /have no light|None is dark/);
    const { rows } = await readApi<{ rows: { splitters: unknown[]; splitterMdb: number }[] }>(
      demo.server(),
      `/projects/${demo.project()}/budget?limit=1000`,
    );
    const through = rows.filter(({ splitters }) => splitters.length > 0);
    expect(through).toHaveLength(8);
    expect(through.every(({ splitterMdb }) => splitterMdb === 10_500)).toBe(true);
  });
});
