import fc from 'fast-check';
import type { MakeUp } from '../record/cable.ts';
import {
  type CableEntry,
  HARDWARE_FORMS,
  type Hardware,
  hardwareSchema,
} from '../record/hardware.ts';
import { USUAL_PRACTICE } from '../record/practice.ts';
import { BUILT_IN_SCHEMES } from '../fiber/schemes.ts';
import { formatLength } from '../measure/length.ts';
import { type CutTask, LONGEST_PULL } from './cutMarks.ts';
import { cutPlan } from './cutPlan.ts';
import { BUILT_IN_HARDWARE } from './hardware.ts';
import { chooseSeal, diameterOf, hardwareTaking, sealPorts } from './seal.ts';
import { prepSteps } from './steps.ts';
import { cableRadius, coilsIn } from './storage.ts';

const hardware = (id: string): Hardware => BUILT_IN_HARDWARE.find((entry) => entry.id === id)!;
const entry = (part: Partial<CableEntry> = {}): CableEntry => ({
  id: 'entry',
  cableId: 'cable',
  kind: 'end',
  diameter: 145,
  port: null,
  portOut: null,
  loop: 0,
  tubes: [],
  armoured: false,
  tracer: false,
  route: 0,
  inside: 0,
  conduit: 0,
  done: [],
  ...part,
});
const TUBES: MakeUp = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 };
const RIBBONS: MakeUp = { kind: 'ribbon', ribbons: 24 };
const task = (id: string, part: Partial<CableEntry>, over: Partial<CutTask> = {}): CutTask => ({
  hardware: hardware(id),
  makeUp: TUBES,
  entry: entry(part),
  practice: USUAL_PRACTICE,
  reach: 0,
  ...over,
});
const stepsOf = (own: CutTask) =>
  prepSteps({
    task: own,
    plan: cutPlan(own),
    seals: { in: null, out: null },
    scheme: BUILT_IN_SCHEMES[0]!,
  });
const marksOf = (own: CutTask, kind: string) =>
  cutPlan(own)
    .marks.filter((mark) => mark.kind === kind)
    .map((mark) => mark.at);

describe('transport tubes of a ribbon cable', () => {
  const tubesOf = (over: Partial<CutTask>) => {
    const found = BUILT_IN_HARDWARE.flatMap(({ id }) =>
      cutPlan(task(id, {}, { makeUp: RIBBONS, ...over })).tubing.filter(
        ({ code }) => code === 'transportTubes',
      ),
    );
    expect(found.length).toBeGreaterThan(0);
    return found.map(({ count }) => count);
  };

  it('are as many as the trays that its ribbons go to', () => {
    expect(new Set(tubesOf({ ribbonTrays: 3 }))).toEqual(new Set([3]));
    // 24 ribbons fill at least one tray, and at most 24, where no plan says how many.
    for (const count of tubesOf({})) {
      expect(count).toBeGreaterThanOrEqual(1);
      expect(count).toBeLessThanOrEqual(24);
    }
  });
});

// Lengths of opening: common practice, no source. 1 in is 254 tenths of a millimeter.
describe('a cut cable in a dome', () => {
  const own = task('dome', {});

  // The piece of 2 to 3 in that gives hold of the ripcord is waste, and counts in the length.
  test('64 in of sheath come off, and 3 in to get at the ripcord; 3 in of strength member stay', () => {
    expect(cutPlan(own).opening).toBe((64 + 3) * 254);
    expect(marksOf(own, 'access cut')).toEqual([3 * 254]);
    expect(marksOf(own, 'ring cut')).toEqual([17_018]);
    expect(marksOf(own, 'trim')).toEqual([16_002, 16_256, 16_256]);
    expect(cutPlan(own).checks).toContainEqual({
      ok: true,
      message: {
        code: 'accessWaste',
        sheet: { lengthTenthsMm: 64 * 254, towards: 'up' },
        waste: { lengthTenthsMm: 3 * 254, towards: 'up' },
        sheath: { lengthTenthsMm: 67 * 254, towards: 'up' },
      },
    });
  });

  test('tubes end 450 mm past the sheath, which leaves 1 175.6 mm for the tray', () => {
    expect(marksOf(own, 'tube cut')).toEqual([11_756 + 762]);
    expect(cutPlan(own).tails).toEqual([{ code: 'pastTube', length: 11_756 }]);
  });

  // Pieces of 24 in at most: a longer pull can break fibers (common practice).
  test('the tube comes off in two pieces, neither over 24 in', () => {
    expect(marksOf(own, 'score')).toEqual([5878 + 762]);
    expect(LONGEST_PULL).toBe(24 * 254);
    expect(cutPlan(own).checks.every((check) => check.ok)).toBe(true);
  });

  test('a tape never shows less than is needed: openings up, what is kept by a cut further out', () => {
    const shown = cutPlan(own).marks.map((mark) => formatLength(mark.at, 'mm', mark.round));
    // 1701.8 mm of sheath with the waste; 76.2, 101.6 and 450 mm kept of it.
    expect(shown).toEqual([
      '76 mm',
      '664 mm',
      '1251 mm',
      '1600 mm',
      '1625 mm',
      '1625 mm',
      '1702 mm',
    ]);
    expect(1702 - 1625).toBeGreaterThanOrEqual(76.2);
    expect(1702 - 1251).toBeGreaterThanOrEqual(450);
  });

  test('more fiber on the tray than the sheet leaves: the opening grows and it says so', () => {
    const long = task('dome', {}, { practice: { ...USUAL_PRACTICE, trayFiber: 15_000 } });
    const plan = cutPlan(long);
    expect(plan.opening).toBe(4500 + 15_000 + 762);
    const check = plan.checks.find(({ ok }) => !ok);
    expect(check!.message).toMatchObject({
      code: 'sheetTooShort',
      sheet: { lengthTenthsMm: 64 * 254 },
      sheath: { lengthTenthsMm: 19_500 },
    });
  });

  test('a loop that is too short for the bench is said', () => {
    const plan = cutPlan(task('dome', { loop: 30_000 }, { reach: 50_000 }));
    expect(plan.checks.find((check) => !check.ok)!.message).toMatchObject({
      code: 'loopTooShort',
      missing: { lengthTenthsMm: 20_000 },
      reach: { lengthTenthsMm: 50_000 },
    });
  });

  test('a ribbon cable keeps 2.25 in of central tube', () => {
    const ribbon = task('dome', {}, { makeUp: RIBBONS });
    expect(marksOf(ribbon, 'tube cut')).toEqual([17_018 - 572]);
  });
});

describe('an express cable', () => {
  const own = task('in-line', {
    kind: 'express',
    tubes: [
      { unit: 3, way: 'dedicate' },
      { unit: 4, way: 'window' },
    ],
  });

  test('two ring cuts 70 in apart', () => {
    expect(marksOf(own, 'ring cut')).toEqual([0, 17_780]);
  });

  test('both ways of opening a tube, with the tail each leaves: 70 in less 380 mm, and 70 - 2 x 15 in', () => {
    expect(cutPlan(own).tails.map(({ length }) => length)).toEqual([13_980, 40 * 254]);
    expect(marksOf(own, 'window')).toEqual([15 * 254, 55 * 254]);
  });

  // The far side from the fibers that are wanted keeps them the longest tail (common practice, no source).
  test('a tube is cut at the far side of the leg whose fibers are wanted', () => {
    const cut = (leg: 'in' | 'out' | 'both') =>
      task('in-line', { kind: 'express', tubes: [{ unit: 3, way: 'dedicate', leg }] });
    expect(marksOf(cut('in'), 'tube cut')).toEqual([17_780]);
    expect(marksOf(cut('out'), 'tube cut')).toEqual([0]);
    // In the middle, 889 mm from either ring cut: less 380 mm to the tray, each side keeps 509 mm.
    expect(marksOf(cut('both'), 'tube cut')).toEqual([8890]);
    const tails = (['in', 'out', 'both'] as const).map((leg) => cutPlan(cut(leg)).tails[0]!.length);
    expect(tails).toEqual([13_980, 13_980, 5090]);
    for (const leg of ['in', 'out', 'both'] as const)
      expect(
        cutPlan(cut(leg)).checks.find(({ message }) => message.code === 'longestPull')!.ok,
      ).toBe(true);
  });

  test('what passes through is named as never to be cut', () => {
    expect(cutPlan(own).whole[0]).toEqual({ code: 'passThrough', unit: 'tube', units: 10 });
  });

  test('a basket too shallow for what passes is said', () => {
    const shallow = { ...hardware('in-line'), basket: { width: 700, length: 3000, depth: 100 } };
    const plan = cutPlan({ ...own, hardware: shallow });
    // Two tubes beside each other; 10 tubes of 3 turns are 30: 15 layers of 3 mm.
    expect(plan.checks.find((check) => !check.ok)!.message).toMatchObject({
      code: 'basketTooShallow',
      tubes: 10,
      turns: 3,
      height: { lengthTenthsMm: 450 },
      depth: { lengthTenthsMm: 100, towards: 'down' },
    });
  });

  test('a basket too small for any coil is said', () => {
    const narrow = { ...hardware('in-line'), basket: { width: 550, length: 3000, depth: 300 } };
    const plan = cutPlan({ ...own, hardware: narrow });
    expect(plan.checks.find((check) => !check.ok)!.message).toEqual({
      code: 'basketTooNarrow',
      least: { lengthTenthsMm: 600, towards: 'up' },
    });
  });
});

// Common practice: 20 in of sheath, 6 in of tube left, in a small gel-sealed case.
test('a drop in a gel case: 14 in of fiber, slack for one redo where three are planned', () => {
  const plan = cutPlan(
    task('gel-drop', { kind: 'drop', diameter: 45 }, { makeUp: { kind: 'drop', fibers: 4 } }),
  );
  expect(plan.opening).toBe(20 * 254);
  expect(plan.tails[0]!.length).toBe(14 * 254);
  expect(plan.checks[0]).toEqual({
    ok: false,
    message: {
      code: 'slack',
      redos: 1,
      each: { lengthTenthsMm: USUAL_PRACTICE.redoConsumption, towards: 'up' },
      planned: 3,
      // 14 in less the 300 mm that reach into a splicer and back leave 55.6 mm.
      tail: { lengthTenthsMm: 14 * 254, towards: 'down' },
      needed: { lengthTenthsMm: 3000, towards: 'up' },
    },
  });
});

test('slack is what a tail has beyond what stays on the tray', () => {
  const slack = cutPlan(task('dome', {})).checks.find(({ message }) => message.code === 'slack');
  // 1 175.6 mm of tail, 1 000 mm on the tray: 175.6 mm are four redos of 40 mm.
  expect(slack).toMatchObject({ ok: true, message: { redos: 4, planned: 3 } });
});

// Common practice, no source: one sleeve for every two ribbons, 288 fibers take 12.
describe('a rack kit', () => {
  const rack = (route: number, inside: number) =>
    cutPlan(task('rack', { route, inside }, { makeUp: RIBBONS }));

  // Common practice, no source: sleeves of 54 in and a working length of 48 in are 102 in of sheath.
  test('takes off sleeves and working length, and leaves the working length bare', () => {
    const plan = rack(54 * 254, 48 * 254);
    expect(plan.opening).toBe(102 * 254);
    expect(plan.tubing[0]).toMatchObject({ count: 12, length: 54 * 254 });
    expect(plan.tails).toEqual([{ code: 'pastTube', length: 48 * 254 }]);
    expect(plan.marks.at(-1)).toMatchObject({ kind: 'clamp', at: 102 * 254 + 318 });
    expect(plan.checks.every(({ ok }) => ok)).toBe(true);
  });

  test('the piece that gives hold of the ripcord counts besides', () => {
    const own = task('rack', { route: 54 * 254 }, { makeUp: RIBBONS });
    const plan = cutPlan({ ...own, hardware: { ...own.hardware, access: 3 * 254 } });
    expect(plan.opening).toBe((54 + 48 + 3) * 254);
    expect(plan.checks.slice(0, 2).map(({ message }) => message)).toMatchObject([
      { code: 'accessWaste', sheath: { lengthTenthsMm: 105 * 254 } },
      { code: 'rackLengths', sheath: { lengthTenthsMm: 102 * 254 } },
    ]);
  });

  // The conduit is a length of its own, shorter than the sleeves that run through it (common practice, no source).
  test('has a conduit that is shorter than its sleeves, or it is said', () => {
    const checkOf = (conduit: number) =>
      cutPlan(task('rack', { route: 54 * 254, conduit }, { makeUp: RIBBONS })).checks[1];
    expect(checkOf(40 * 254)).toMatchObject({ ok: true, message: { code: 'conduitInSleeves' } });
    expect(checkOf(54 * 254)).toMatchObject({ ok: false, message: { code: 'conduitTooLong' } });
  });

  test('sleeves that nobody has measured are asked for, and are no sum of nothing', () => {
    const plan = rack(0, 0);
    expect([plan.missing, plan.checks, plan.marks, plan.tubing]).toEqual(['sleeves', [], [], []]);
  });

  test('has a working length of 48 in at least, and its sum adds up', () => {
    fc.assert(
      fc.property(
        fc.integer({ max: 100_000, min: 1 }),
        fc.integer({ max: 30_000, min: 0 }),
        (route, inside) => {
          const plan = rack(route, inside);
          const [sum] = plan.checks;
          expect(sum!.ok).toBe(inside === 0 || inside >= 48 * 254);
          const { sheath, sleeves, working } = sum!.message as unknown as Record<
            string,
            { lengthTenthsMm: number }
          >;
          expect(sleeves!.lengthTenthsMm + working!.lengthTenthsMm).toBe(sheath!.lengthTenthsMm);
          expect(plan.opening).toBe(sheath!.lengthTenthsMm);
          // Never are the sleeves as long as what is bare.
          expect(plan.opening - plan.tubing[0]!.length).toBeGreaterThanOrEqual(48 * 254);
        },
      ),
    );
  });
});

describe('seals', () => {
  const dome = hardware('dome');
  const oval = dome.ports[0]!;

  test('the row by the measured diameter; slit for an express cable only', () => {
    const cut = chooseSeal(dome, oval, 'end', 145);
    expect(cut).toMatchObject({ ok: true, value: { row: { seal: 'Oval seal 2' }, slit: false } });
    expect(chooseSeal(dome, oval, 'express', 145)).toMatchObject({ value: { slit: true } });
  });

  test('a circumference of 41 mm is a diameter of 13.1 mm', () => {
    expect(diameterOf(410)).toBe(131);
  });

  test('on a boundary the row whose middle is nearer, and it says so', () => {
    const row = (from: number, to: number, seal: string) => ({
      ...oval.rows[0]!,
      from,
      to,
      seal,
    });
    const port = { ...oval, rows: [row(80, 140, 'wide'), row(140, 160, 'narrow')] };
    const choice = chooseSeal(dome, port, 'end', 140);
    expect(choice).toMatchObject({ value: { row: { seal: 'narrow' } } });
    expect(choice.ok && choice.value.notes[0]).toMatchObject({ taken: 'narrow', other: 'wide' });
  });

  // A bushing below about half an inch: common practice, no source.
  test('a bushing below half an inch', () => {
    expect(chooseSeal(dome, oval, 'end', 126)).toMatchObject({ value: { bushing: true } });
    expect(chooseSeal(dome, oval, 'end', 131)).toMatchObject({ value: { bushing: false } });
  });

  test('what does not fit is said, with what would', () => {
    const thin = chooseSeal(dome, oval, 'drop', 45);
    expect(thin).toEqual({
      ok: false,
      error: { code: 'kindNotTaken', port: 'Oval', kind: 'drop', others: ['Drop port'] },
    });
    const thick = chooseSeal(dome, oval, 'end', 300);
    expect(thick).toMatchObject({
      error: {
        code: 'doesNotFit',
        port: 'Oval',
        diameter: { diameterTenthsMm: 300 },
        least: { diameterTenthsMm: 100 },
        most: { diameterTenthsMm: 250 },
        others: [],
      },
    });
  });

  test('one seal serves all cables of a port: a thicker one goes elsewhere', () => {
    const thin = entry({ id: 'thin', kind: 'drop', diameter: 45 });
    const thick = entry({ id: 'thick', kind: 'drop', diameter: 70 });
    const { ports, left } = sealPorts(dome, [thin, thick]);
    const inPort = (name: string) =>
      ports.find(({ port }) => port.name === name)!.entries.map((used) => used.entry.id);
    expect(inPort('Drop port')).toEqual(['thin']);
    expect(left.map(({ entry: { id } }) => id)).toEqual(['thick']);
    const both = [thick, thin].map((own) => ({ ...own, port: 'Drop port' }));
    const [, second] = sealPorts(dome, both).ports.find(
      ({ port }) => port.name === 'Drop port',
    )!.entries;
    expect(second!.seal).toMatchObject({
      error: {
        code: 'otherSeal',
        seal: 'Four-hole seal 2',
        from: { diameterTenthsMm: 50 },
        to: { diameterTenthsMm: 80 },
      },
    });
  });

  test('hardware that would take a cable is named', () => {
    expect(hardwareTaking(BUILT_IN_HARDWARE, 'end', 270)).toEqual(['Gland-entry joint']);
    expect(hardwareTaking(BUILT_IN_HARDWARE, 'end', 600)).toEqual([]);
  });

  test('four drops share a port; every hole that stays empty is plugged', () => {
    const drops = Array.from({ length: 3 }, () => entry({ kind: 'drop', diameter: 45 }));
    const { ports, left } = sealPorts(dome, [entry({ kind: 'express' }), ...drops]);
    expect(left).toEqual([]);
    const use = (name: string) => ports.find(({ port }) => port.name === name)!;
    // Both legs of the express cable share the oval.
    expect(use('Oval')).toMatchObject({ plugs: 0 });
    expect(use('Drop port').entries).toHaveLength(3);
    expect(use('Drop port').plugs).toBe(1);
    expect(use('Round 1').plugs).toBe(1);
  });
});

describe('hardware', () => {
  test('every built-in is whole and asks to be replaced', () => {
    for (const own of BUILT_IN_HARDWARE) {
      expect(hardwareSchema.parse(own)).toEqual(own);
      expect(own.source).toMatch(/replace by your hardware’s own sheet/);
    }
    expect(new Set(BUILT_IN_HARDWARE.map(({ form }) => form))).toEqual(new Set(HARDWARE_FORMS));
  });

  test.each([
    [[100, 150], [140, 200], 'rangesOverlap'],
    [[100, 150], [160, 200], 'rangesGap'],
  ])('ranges %p and %p', (one, other, message) => {
    const dome = hardware('dome');
    const [row] = dome.ports[0]!.rows;
    const rows = [one, other].map(([from, to]) => ({ ...row!, from, to }));
    const read = hardwareSchema.safeParse({
      ...dome,
      ports: [{ ...dome.ports[0]!, rows }],
    });
    expect(read.error!.issues[0]).toMatchObject({
      path: ['ports', 0, 'rows', 1, 'from'],
      message,
      params: { endMm: 15 },
    });
  });
});

// 30 mm radius: ITU-T G.652 (from memory). 20 and 10 times the diameter: common practice.
test('coils and bends', () => {
  // By hand: pi x 150 + 2 x (320 - 150) = 811.2 mm a turn; 66 in are 1 676.4 mm: 3 turns.
  expect(coilsIn({ width: 1500, length: 3200 }, 16_764)).toEqual({
    fits: true,
    turns: 3,
    turn: 8112,
    height: 30,
  });
  // 75 - 30 = 45 mm beside each other are 16 tubes; 11 tubes of 3 turns are 33: 3 layers of 3 mm.
  expect(coilsIn({ width: 1500, length: 3200 }, 16_764, 300, 11).height).toBe(90);
  expect(coilsIn({ width: 599, length: 3200 }, 100).fits).toBe(false);
  expect([cableRadius(145, true), cableRadius(145, false)]).toEqual([2900, 1450]);
});

describe('the order of work', () => {
  const order = (own: CutTask) => stepsOf(own).map(({ key }) => key);

  // TIA-598-D (from memory): the third tube is green, the fifteenth green with a black tracer.
  test('tubes are named with number and color', () => {
    const tubes = [3, 15].map((unit) => ({ unit, way: 'dedicate' as const }));
    const own = task(
      'dome',
      { kind: 'express', tubes },
      { makeUp: { kind: 'loose-tube', tubes: 24, fibersPerTube: 12 } },
    );
    const colours = stepsOf(own).flatMap(({ message }) =>
      message.code === 'dark' ? [[message.number, message.colour]] : [],
    );
    expect(colours).toMatchObject([
      [3, { colour: { name: 'green' }, mark: null }],
      [15, { colour: { name: 'green' }, mark: { colour: 'black' } }],
    ]);
  });

  test('a ribbon has no window: its plan says so, and it is named a ribbon', () => {
    const own = task(
      'dome',
      { kind: 'express', tubes: [{ unit: 3, way: 'window' }] },
      { makeUp: RIBBONS },
    );
    const plan = cutPlan(own);
    expect(plan.checks).toContainEqual({
      ok: false,
      message: { code: 'windowInRibbon', ribbon: 3 },
    });
    const steps = stepsOf(own);
    expect(steps.find(({ key }) => key === 'tube 3')!.message).toEqual({
      code: 'dedicateUnit',
      unit: 'ribbon',
      number: 3,
      colour: null,
      leg: 'in',
    });
  });

  // Common practice, no source: strength members of 1.5 in, 90 mm, and flush at the ring cut.
  test.each([
    ['gel-drop', { code: 'trimStrength', kept: { lengthTenthsMm: 381 } }],
    ['gland', { code: 'trimStrength', kept: { lengthTenthsMm: 900 } }],
    ['rack', { code: 'strengthFlush' }],
  ])('the strength member in a %s', (form, message) => {
    const own = task(form, {});
    const steps = stepsOf(own);
    expect(steps.find(({ key }) => key === 'strength')!.message).toEqual(message);
  });

  test('a tracer is split off before the seal', () => {
    const keys = order(task('dome', { tracer: true }));
    expect(keys.indexOf('tracer')).toBeLessThan(keys.indexOf('seal'));
  });

  test('gel comes off at once or after grouping, as the practice says', () => {
    const grouped: MakeUp = { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 };
    const at = (gel: 'at once' | 'after grouping') => {
      const keys = order(
        task('dome', {}, { makeUp: grouped, practice: { ...USUAL_PRACTICE, gel } }),
      );
      return keys.indexOf('clean') - keys.indexOf('hitches');
    };
    expect(at('at once')).toBeLessThan(0);
    expect(at('after grouping')).toBeGreaterThan(0);
  });
});
