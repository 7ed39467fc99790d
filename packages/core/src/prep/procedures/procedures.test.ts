import type { MakeUp } from '../../record/cable.ts';
import { type CableEntry, HARDWARE_FORMS, type HardwareForm } from '../../record/hardware.ts';
import { type EntryKind, type PrepStepData, procedureSchema } from '../../record/procedure.ts';
import { USUAL_PRACTICE } from '../../record/practice.ts';
import { BUILT_IN_SCHEMES } from '../../fiber/schemes.ts';
import { enteringCable } from '../assembly.ts';
import type { CutTask } from '../cutMarks.ts';
import { cutPlan } from '../cutPlan.ts';
import { BUILT_IN_HARDWARE } from '../hardware.ts';
import { sealOfLeg, sealPorts } from '../seal.ts';
import { missingBefore } from '../stepOrder.ts';
import { prepSteps } from '../steps.ts';
import { genericProcedure } from './index.ts';

const TUBES: MakeUp = { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 };
const RIBBONS: MakeUp = { kind: 'ribbon', ribbons: 24 };
const DROP: MakeUp = { kind: 'drop', fibers: 2 };

const hardwareOf = (form: HardwareForm) => BUILT_IN_HARDWARE.find((own) => own.form === form)!;

interface Given {
  makeUp?: MakeUp;
  part?: Partial<CableEntry>;
  opening?: PrepStepData[];
}

function stepsOf(form: HardwareForm, kind: EntryKind, { makeUp, part, opening }: Given = {}) {
  const own = hardwareOf(form);
  const hardware = opening ? { ...own, procedure: { ...genericProcedure(form), opening } } : own;
  const diameter = kind === 'drop' ? 45 : 135;
  const entry = { ...enteringCable('entry', 'cable', kind), diameter, ...part };
  const task: CutTask = {
    hardware,
    makeUp: makeUp ?? (kind === 'drop' ? DROP : TUBES),
    entry,
    practice: USUAL_PRACTICE,
    reach: 0,
  };
  const { ports } = sealPorts(hardware, [entry]);
  const seals = { in: sealOfLeg(ports, 'entry', 'in'), out: sealOfLeg(ports, 'entry', 'out') };
  return prepSteps({ task, plan: cutPlan(task), seals, scheme: BUILT_IN_SCHEMES[0]! });
}

/** The leg is told behind the code of what is done on it. */
const codesOf = (...given: Parameters<typeof stepsOf>): string[] =>
  stepsOf(...given).map(({ message: { code }, leg }) => (leg ? `${code} ${leg}` : code));

const TUBE_3 = { tubes: [{ unit: 3, way: 'dedicate' as const }] };
const OPENED = ['scoreWithScorer', 'clean'];
const KNOWN = ['rightCable', 'diameter'];

/** Steps on the feed side, and then the same on the exit side. */
const onBoth = (...codes: string[]): string[] =>
  ['in', 'out'].flatMap((leg) => codes.map((code) => `${code} ${leg}`));

/**
 * Each form in its own order, for each way of entering that it takes: common practice, no source. Cables are sealed,
 * held and bonded, and only then are tubes opened.
 */
const ORDERS: [HardwareForm, EntryKind, Given, string[]][] = [
  [
    'dome',
    'end',
    {},
    [
      ...KNOWN,
      ...['threadSeal', 'tapeAtEnd', 'access', 'ringCut', 'slitRipcord', 'yarn'],
      ...['strengthLong', 'aramid', 'bracket', 'hoseClamp', 'sealIn', 'sealCap'],
      ...OPENED,
      'routeTubes',
    ],
  ],
  [
    'dome',
    'express',
    { part: TUBE_3 },
    [
      ...[...KNOWN, 'slitSeal', 'threadSeal in', 'threadSeal out', 'tapeAtRingCut'],
      ...['ringCutTwice', 'slitMidSheath', 'yarn', 'strengthLong', 'aramid'],
      ...onBoth('bracket', 'hoseClamp', 'sealIn', 'sealCap'),
      ...['dark', 'dedicateUnit', ...OPENED, 'routeTubes'],
    ],
  ],
  [
    'dome',
    'drop',
    {},
    [
      ...[...KNOWN, 'threadSeal', 'tapeAtEnd', 'ringCut', 'peelDrop', 'trimStrength', 'spacer'],
      ...['hoseClamp', ...OPENED, 'routeTubes'],
    ],
  ],
  [
    'in-line',
    'end',
    {},
    [
      ...[...KNOWN, 'tapeAtEnd', 'access', 'ringCut', 'slitRipcord', 'yarn', 'trimStrength'],
      ...['clamp', 'hoseClamp', 'tubesRound', ...OPENED, 'wrap', 'routeTubes', 'fitSeal'],
    ],
  ],
  [
    'in-line',
    'express',
    { part: TUBE_3 },
    [
      ...[...KNOWN, 'tapeAtRingCut', 'ringCutTwice', 'slitMidSheath', 'yarn'],
      ...onBoth('trimStrength', 'clamp', 'hoseClamp'),
      ...['tubesRound', 'dark', 'dedicateUnit', ...OPENED, 'wrap', 'routeTubes'],
      ...onBoth('fitSeal'),
    ],
  ],
  [
    'in-line',
    'drop',
    {},
    [
      ...[...KNOWN, 'tapeAtEnd', 'ringCut', 'peelDrop', 'trimStrength', 'clamp', 'hoseClamp'],
      ...[...OPENED, 'wrap', 'routeTubes', 'fitSeal'],
    ],
  ],
  [
    'drop',
    'end',
    { part: { diameter: 80 } },
    [
      ...[...KNOWN, 'tapeAtEnd', 'ringCut', 'slitRipcord', 'yarn', 'trimStrength', 'clamp'],
      ...['dropTube', 'aramidTrim', 'clean', 'tieToBracket', 'spliceHolder', 'routeTubes'],
    ],
  ],
  [
    'drop',
    'express',
    { part: { diameter: 80, ...TUBE_3 } },
    [
      ...[...KNOWN, 'tapeAtRingCut', 'ringCutTwice', 'slitMidSheath', 'yarn'],
      ...[...onBoth('trimStrength', 'clamp'), 'dark', 'dedicateUnit', 'dropTube', 'aramidTrim'],
      ...['clean', ...onBoth('tieToBracket'), 'spliceHolder', 'routeTubes'],
    ],
  ],
  [
    'drop',
    'drop',
    {},
    [
      ...[...KNOWN, 'tapeAtEnd', 'ringCut', 'peelDrop', 'trimStrength', 'clamp', 'dropTube'],
      ...['aramidTrim', 'clean', 'tieToBracket', 'spliceHolder', 'routeTubes'],
    ],
  ],
  [
    'gland',
    'end',
    {},
    [
      ...[...KNOWN, 'tapeAtEnd', 'threadSeal', 'glandLoose', 'ringCut', 'slitRipcord', 'yarn'],
      ...['trimStrength', 'glandGrease', 'glandClamp', 'glandIn', ...OPENED, 'routeTubes'],
    ],
  ],
  [
    'gland',
    'express',
    { part: TUBE_3 },
    [
      ...[...KNOWN, 'tapeAtRingCut', ...onBoth('threadSeal', 'glandLoose')],
      ...['ringCutTwice', 'slitMidSheath', 'yarn'],
      ...onBoth('trimStrength', 'glandGrease', 'glandClamp', 'glandIn'),
      ...['dark', 'dedicateUnit', ...OPENED, 'routeTubes'],
    ],
  ],
  [
    'gland',
    'drop',
    { part: { diameter: 70 } },
    [
      ...[...KNOWN, 'tapeAtEnd', 'threadSeal', 'glandLoose', 'ringCut', 'peelDrop'],
      ...['trimStrength', 'glandGrease', 'glandClamp', 'glandIn', ...OPENED, 'routeTubes'],
    ],
  ],
  [
    'wedge',
    'end',
    {},
    [
      ...[...KNOWN, 'tapeAtEnd', 'access', 'ringCut', 'slitRipcord', 'yarn', 'trimStrength'],
      ...['gelChannel', 'wedgeIn', ...OPENED, 'routeTubes'],
    ],
  ],
  [
    'wedge',
    'express',
    { part: { diameter: 110, ...TUBE_3 } },
    [
      // Below half an inch each leg has its bushing.
      ...[...KNOWN, ...onBoth('bushing'), 'tapeAtRingCut', 'ringCutTwice', 'slitMidSheath', 'yarn'],
      ...onBoth('trimStrength', 'gelChannel', 'wedgeIn'),
      ...['dark', 'dedicateUnit', ...OPENED, 'routeTubes'],
    ],
  ],
  [
    'wedge',
    'drop',
    {},
    [
      ...[...KNOWN, 'bushing', 'tapeAtEnd', 'ringCut', 'peelDrop', 'trimStrength'],
      ...['gelChannel', 'wedgeIn', ...OPENED, 'routeTubes'],
    ],
  ],
  [
    'rack',
    'end',
    { makeUp: RIBBONS, part: { route: 54 * 254 } },
    [
      ...[...KNOWN, 'tapeAtEnd', 'ringCut', 'slitRipcord', 'yarn', 'strengthFlush', 'rackClamp'],
      ...['cutSleeves', 'forks', ...OPENED, 'runRibbons', 'entryPlate', 'conduit'],
      ...['pairsThrough', 'pairSleeves', 'moduleEntry', 'trunkLoop', 'pigtailLoop'],
      ...['workingLength', 'holderOrder'],
    ],
  ],
  [
    'drop-end',
    'drop',
    {},
    [
      ...[...KNOWN, 'edges', 'split', 'strengthFlush', 'coreStrip', 'aramidTrim', 'warmTools'],
      'dropConnector',
    ],
  ],
];

test.each(ORDERS)('%s, %s', (form, kind, given, codes) =>
  expect(codesOf(form, kind, given)).toEqual(codes),
);

test('the orders are those of every form and every way in that a port of it takes', () => {
  const taken = BUILT_IN_HARDWARE.flatMap(({ form, ports }) =>
    [...new Set(ports.flatMap(({ takes }) => takes))].map((kind) => `${form} ${kind}`),
  );
  expect(new Set(ORDERS.map(([form, kind]) => `${form} ${kind}`))).toEqual(new Set(taken));
});

describe.each(HARDWARE_FORMS)('the generic procedure of a %s', (form) => {
  const kinds = (['end', 'express', 'drop'] as const).filter((kind) =>
    hardwareOf(form).ports.some(({ takes }) => takes.includes(kind)),
  );

  test('is whole', () =>
    expect(procedureSchema.safeParse(genericProcedure(form)).error).toBe(undefined));

  test('metal is made safe before anything is cut, and bonded before a tube is opened', () => {
    for (const kind of kinds) {
      const codes = codesOf(form, kind, { part: { armoured: true, tracer: true } });
      expect(codes.indexOf('voltage')).toBe(1);
      const first = codes.findIndex((code) => /^(bond|shieldStud)( in)?$/.test(code));
      if (form === 'drop-end') expect(first).toBe(-1);
      else expect(first).toBeGreaterThan(codes.findIndex((code) => code.startsWith('ringCut')));
      const opened = codes.findIndex((code) => /^(dark|score|dropTube)/.test(code));
      if (opened > 0) expect(first).toBeLessThan(opened);
    }
  });

  test('a cable is held before a tube of it is opened', () => {
    for (const kind of kinds) {
      const codes = codesOf(form, kind, { part: TUBE_3 });
      const last = codes.findLastIndex((code) =>
        /^(bracket|clamp|rackClamp|glandClamp|gelChannel|hoseClamp)/.test(code),
      );
      const opened = codes.findIndex((code) => /^(dark|score|dropTube|coreStrip)/.test(code));
      if (form === 'drop-end') continue;
      expect(last).toBeGreaterThan(0);
      expect(last).toBeLessThan(opened);
    }
  });

  test('no key is used twice on a cable, and each cut has its caution', () => {
    for (const kind of kinds) {
      const steps = stepsOf(form, kind, {
        part: { ...TUBE_3, armoured: true, tracer: true },
        makeUp: { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 },
      });
      const keys = steps.map(({ key }) => key);
      expect(new Set(keys).size).toBe(keys.length);
      for (const { message, caution } of steps)
        if (/^(ring|slit|peel|edges|score|dedicate|bond|shieldStud|clean)/.test(message.code))
          expect([message.code, caution]).not.toEqual([message.code, null]);
    }
  });
});

describe('steps that people or live fibers depend on come first', () => {
  const tubes = [3, 4].map((unit) => ({ unit, way: 'dedicate' as const }));
  const steps = stepsOf('dome', 'express', { part: { tubes, armoured: true } });
  const missing = (key: string, ...ticked: string[]) =>
    missingBefore(steps, new Set(ticked), key).map((step) => step.key);

  it('a tube is cut only once it is proven dark itself', () => {
    expect(missing('tube 4', 'right', 'voltage')).toEqual(['dark 4']);
    expect(missing('tube 4', 'right', 'voltage', 'dark 3')).toEqual(['dark 4']);
    expect(missing('tube 4', 'right', 'voltage', 'dark 4')).toEqual([]);
  });

  it('nothing is cut before the cable is known and its metal is safe', () => {
    expect(missing('ring')).toEqual(['right', 'voltage']);
    expect(missing('ring', 'right', 'voltage')).toEqual([]);
    expect(missing('mark')).toEqual([]);
  });

  it('in every form and way of entering, each cut of a tube asks for its proof', () => {
    for (const form of HARDWARE_FORMS) {
      const own = stepsOf(form, 'express', { part: { tubes } });
      for (const { key, message } of own)
        if (message.code === 'dedicateUnit' || message.code === 'windowTube')
          expect(missingBefore(own, new Set(), key).map((step) => step.key)).toContain(
            `dark ${message.number}`,
          );
    }
  });
});

test('each tube is proven dark just before it is cut: detector, number read twice, release', () => {
  const tubes = [3, 4].map((unit) => ({ unit, way: 'dedicate' as const }));
  const steps = stepsOf('dome', 'express', { part: { tubes } });
  const from = steps.findIndex(({ key }) => key === 'dark 3');
  expect(steps.slice(from, from + 4).map(({ key }) => key)).toEqual([
    'dark 3',
    'tube 3',
    'dark 4',
    'tube 4',
  ]);
  expect(steps[from]!.asks.map(({ key }) => key)).toEqual([
    'detector',
    'numberTwice',
    'releasedBy',
  ]);
});

test('a shielded cable in a dome: its stud with the bracket, then the ground stud in the plate', () => {
  const codes = codesOf('dome', 'end', { part: { armoured: true } });
  const from = codes.indexOf('bracket');
  expect(codes.slice(from, from + 7)).toEqual([
    ...['bracket', 'hoseClamp', 'shieldStud', 'noneSqueezed', 'sealIn', 'groundStud', 'sealCap'],
  ]);
});

describe('a procedure of one’s own', () => {
  const own = (part: Partial<PrepStepData>): PrepStepData => ({
    key: 'mine',
    work: null,
    words: '',
    caution: null,
    per: 'cable',
    when: { entries: [], traits: [] },
    timerS: null,
    photo: false,
    asks: [],
    ...part,
  });
  const generic = genericProcedure('dome');
  const problemOf = (opening: PrepStepData[]) => {
    const [issue] = procedureSchema.safeParse({ ...generic, opening }).error!.issues;
    return [issue!.message, issue!.path.join('/')];
  };

  test('its words have the figures of the profile', () => {
    const words = 'Leave {strength} of steel and {aramid} of yarn.';
    const opening = [own({ words }), ...generic.opening];
    expect(stepsOf('dome', 'end', { opening })[0]).toMatchObject({
      key: 'mine',
      message: {
        code: 'ownWords',
        words,
        figures: { strength: { lengthTenthsMm: 762 }, aramid: { lengthTenthsMm: 762 } },
      },
    });
  });

  test('words for the cut of a tube come between its proof and its cut', () => {
    const opening = generic.opening.map((step) =>
      step.work === 'units' ? { ...step, words: 'Photograph its print.', photo: true } : step,
    );
    const steps = stepsOf('dome', 'express', { part: TUBE_3, opening });
    const from = steps.findIndex(({ key }) => key === 'dark 3');
    expect(steps.slice(from, from + 3)).toMatchObject([
      { message: { code: 'dark' }, asks: [{}, {}, {}], caution: 'invisibleLight' },
      { message: { code: 'ownWords', words: 'Photograph its print.' }, photo: true },
      { message: { code: 'dedicateUnit' } },
    ]);
  });

  test('words for cleaning take its place, whatever is told apart', () => {
    const opening = generic.opening.map((step) =>
      step.work === 'groups' ? { ...step, words: 'Wipe dry.' } : step,
    );
    const makeUp: MakeUp = { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 };
    const codes = codesOf('dome', 'end', { makeUp, opening });
    const from = codes.indexOf('ownWords');
    expect(codes.slice(from, from + 3)).toEqual(['ownWords', 'hitches', 'cutMark']);
  });

  test('a step applies to the cables that it names, on each leg where it says so', () => {
    const when = { entries: ['express' as const], traits: ['armoured' as const] };
    const opening = [own({ words: 'Tag it.', when, per: 'leg' }), ...generic.opening];
    const armoured = { part: { armoured: true }, opening };
    const keys = stepsOf('dome', 'express', armoured).map(({ key }) => key);
    expect(keys.slice(0, 2)).toEqual(['mine', 'mine out']);
    expect(codesOf('dome', 'end', armoured)).not.toContain('ownWords');
    expect(codesOf('dome', 'express', { opening })).not.toContain('ownWords in');
  });

  test('a point of the closing list asks nothing of a make-up', () => {
    const point = { ...generic.closing[0]!, when: { entries: [], traits: ['ribbon' as const] } };
    const [issue] = procedureSchema.safeParse({ ...generic, closing: [point] }).error!.issues;
    expect([issue!.message, issue!.path.join('/')]).toEqual([
      'traitNotClosing',
      'closing/0/when/traits',
    ]);
  });

  test.each<[string, PrepStepData[], string[]]>([
    [
      'no ring cut',
      generic.opening.filter(({ work }) => work !== 'ring'),
      ['ringCutMissing', 'opening'],
    ],
    [
      'a figure that no profile has',
      [...generic.opening, own({ words: 'Leave {stength}.' })],
      ['figureUnknown', `opening/${generic.opening.length}/words`],
    ],
    [
      'no words',
      [...generic.opening, own({})],
      ['stepWordsMissing', `opening/${generic.opening.length}/words`],
    ],
    [
      'one step twice',
      [...generic.opening, generic.opening[0]!],
      ['stepTwice', `opening/${generic.opening.length}/key`],
    ],
  ])('%s is said at its place', (_, opening, problem) =>
    expect(problemOf(opening)).toEqual(problem),
  );
});
