import fc from 'fast-check';
import { BUILT_IN_SCHEMES } from '../fiber/schemes.ts';
import { collapseJoints } from './collapse.ts';
import { countOf } from './lines.ts';
import { parsePlan } from './parsePlan.ts';
import { expandPlan } from './expand.ts';
import { printLine } from './printLine.ts';
import type { ListCable } from './spliceList.ts';

const scheme = BUILT_IN_SCHEMES[0]!;
const cables: ListCable[] = [
  { name: 'A', makeUp: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 }, scheme },
  { name: 'B', makeUp: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 }, scheme },
  { name: 'G', makeUp: { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 }, scheme },
  { name: 'R', makeUp: { kind: 'ribbon', ribbons: 24 }, scheme },
  { name: 'T', makeUp: { kind: 'ribbon', ribbons: 24 }, scheme },
  { name: 'North feeder', makeUp: { kind: 'drop', fibers: 12 }, scheme },
];

const errorOf = (text: string) => {
  const { errors } = parsePlan(text, cables);
  expect(errors).toHaveLength(1);
  const { line, from, to, message } = errors[0]!;
  return { at: text.split('\n')[line]!.slice(from, to), message };
};
const expand = (text: string) => expandPlan(parsePlan(text, cables), cables);
const pairs = (text: string) =>
  expand(text).joints.map((joint) => [joint.fiberA, joint.fiberB] as const);

describe('lines that are understood', () => {
  test('tubes onto tubes: 72 splices, counted by hand as 6 x 12', () => {
    const { joints, errors } = expand('splice A tubes 1-6 to B tubes 1-6');
    expect(errors).toEqual([]);
    expect(joints).toHaveLength(72);
    expect(joints[71]).toMatchObject({ cableA: 'A', fiberA: 72, cableB: 'B', fiberB: 72 });
  });

  test('names with blanks need no quotes, quotes and dashes may be those of print', () => {
    expect(pairs('splice North feeder 1-2 to A 1–2')).toEqual([
      [1, 1],
      [2, 2],
    ]);
    expect(pairs('splice “North feeder” 1—2 to A 3-4')[0]).toEqual([1, 3]);
    expect(expand('dead A 17 “nicked”').fates[0]!.note).toBe('nicked');
  });

  test('fibers are read as they are everywhere: places, units and colors', () => {
    expect(pairs('splice A tube 1 blue to B 7/12')).toEqual([[1, 84]]);
    expect(pairs('splice A T7 F12 to B 84')).toEqual([[84, 84]]);
    expect(pairs('splice A 7/1-12 to B tube 7')).toHaveLength(12);
    expect(pairs('splice A 7-12 to B 1-6')[0]).toEqual([7, 1]);
    expect(pairs('splice G 5/1/4 to A 100')).toEqual([[100, 100]]);
  });

  test('an unknown name proposes the nearest', () => {
    expect(errorOf('splice Nort feeder 1 to A 1').message).toMatchObject({
      code: 'noCableMeant',
      meant: 'North feeder',
    });
    expect(errorOf('splice NorthFeder 1 to A 1').message).toMatchObject({
      code: 'noCableMeant',
      meant: 'North feeder',
    });
  });

  test('a shift: fibers 73-96 of one onto 1-24 of the other', () => {
    expect(pairs('splice A 73-96 to B 1-24').slice(0, 2)).toEqual([
      [73, 1],
      [74, 2],
    ]);
  });

  // TIA-598-D (from memory): tube 5 of 24s begins at 97, its group 2 at 109.
  test('groups of a tube, fibers of a tube, colors', () => {
    expect(pairs('splice G tube 5 group 2 to A tube 1')[0]).toEqual([109, 1]);
    expect(pairs('splice A tube 3 fibers 1-2 to B tube yellow fibers 11-12')).toEqual([
      [25, 107],
      [26, 108],
    ]);
  });

  test('ribbons are fused by mass unless the line says single', () => {
    expect(expand('splice R ribbons 1-2 to T ribbons 3-4').joints[0]).toMatchObject({
      method: 'mass',
      fiberB: 25,
    });
    expect(expand('splice R ribbon 1 to T ribbon 1 single').joints[0]!.method).toBe('single');
    expect(expand('splice A tube 1 to R ribbon 1 mass').joints[0]!.method).toBe('mass');
  });

  // A ribbon laid the other way round: fiber 1 meets fiber 12, each ribbon for itself (common practice).
  test('reversed turns each ribbon round', () => {
    const joined = pairs('splice R ribbons 1-2 to T ribbons 1-2 reversed');
    expect(joined[0]).toEqual([1, 12]);
    expect(joined[11]).toEqual([12, 1]);
    expect(joined[12]).toEqual([13, 24]);
  });

  test('through, dead and reserve take fibers out of what is not named', () => {
    const { fates, unnamed } = expand(
      'through A tubes 3-12\ndead A 17 "nicked"\nreserve A 18-24 "clinic" # later\nsplice A tube 1 to B tube 1',
    );
    expect(fates.map((fate) => [fate.verb, fate.note])).toEqual([
      ['through', null],
      ['dead', 'nicked'],
      ['reserve', 'clinic'],
    ]);
    expect(unnamed.find((entry) => entry.cable === 'A')!.runs).toEqual([[13, 16]]);
  });

  test('remarks, blank lines, quotes and case', () => {
    const plan = parsePlan('# first\n\nSPLICE a 1-12 TO "North feeder" all\n', cables);
    expect(plan.errors).toEqual([]);
    expect(plan.lines[0]).toMatchObject({ a: { cable: 'A' }, b: { cable: 'North feeder' } });
  });
});

describe('lines that are wrong say where and what would be right', () => {
  test.each([
    ['weld A 1 to B 1', 'weld', { code: 'noVerb', text: 'weld' }],
    ['splice A 1-12 to X 1-12', 'X', { code: 'noCable', text: 'X' }],
    ['splice A tube 13 to B tube 1', '13', { code: 'outside', unit: 'tube', most: 12 }],
    ['splice A 140-150 to B 1-11', '140-150', { code: 'outside', unit: 'fiber', most: 144 }],
    ['splice A 1-12 to B 1-11', 'B 1-11', { code: 'unequal', fibersA: 12, fibersB: 11 }],
    ['splice R ribbon 1 to T 1-11 mass', 'T 1-11', { code: 'unequal', cableA: 'R', cableB: 'T' }],
    ['splice A 1-11 to R 1-11 mass', 'A 1-11', { code: 'notWhole', for: 'mass', fibers: 11 }],
    ['splice A 12-1 to B 1-12', '12-1', { code: 'backwards', from: 1, to: 12 }],
    ['splice A ribbon 1 to B 1-12', 'ribbon', { code: 'noUnits', countedBy: 'tube' }],
    ['splice A tube 1 group 1 to B 1-12', 'group', { code: 'noGroups', unit: 'tube' }],
    ['splice G group 1 to B 1-12', 'group', { code: 'groupsInTube', cable: 'G' }],
    ['splice A 1-12', '1-12', { code: 'sayOnto' }],
    ['splice A 1-12 to B 1-12 glued', 'glued', { code: 'notUnderstood', verb: 'splice' }],
    ['dead A 17 because', 'because', { code: 'notUnderstood', verb: 'other' }],
    ['dead A 17 "nicked', '"nicked', { code: 'quoteOpen' }],
    ['splice A 0-3 to B 1-4', '0-3', { code: 'outside', most: 144 }],
    ['through', 'through', { code: 'nameCable' }],
  ])('%s', (text, at, message) => {
    const error = errorOf(text);
    expect(error.at).toBe(at);
    expect(error.message).toMatchObject(message);
  });

  test('all other lines stay in use', () => {
    const plan = parsePlan('splice A tube 1 to B tube 1\nspliced A\nthrough A tube 2', cables);
    expect(plan.lines).toHaveLength(2);
    expect(plan.errors).toHaveLength(1);
  });

  test('overlapping ranges are found in the later line, with the earlier one named', () => {
    const { errors, joints } = expand('splice A 1-12 to B 1-12\nsplice A 10-20 to B 13-23');
    expect(errors).toHaveLength(1);
    expect(errors[0]).toMatchObject({ line: 1, from: 7, to: 14 });
    expect(errors[0]!.message).toEqual({
      code: 'namedTwice',
      cable: 'A',
      runs: '10-12',
      fibers: 3,
      earlier: 1,
    });
    expect(joints).toHaveLength(12);
    expect(expand('splice A 1-6, 6 to B 1-7').errors[0]!.message).toMatchObject({
      code: 'namedTwice',
      earlier: 0,
    });
  });
});

describe('legs of an express cable', () => {
  test('either leg is spliced, each fiber of each once', () => {
    const { joints, errors, unnamed } = expand(
      'splice A.in tube 3 to B 1-12\nsplice a.OUT tube 3 to B 13-24',
    );
    expect(errors).toEqual([]);
    expect(joints[0]).toMatchObject({ cableA: 'A', fiberA: 25, legA: 'in', legB: null });
    expect(joints[12]).toMatchObject({ cableA: 'A', fiberA: 25, legA: 'out', fiberB: 13 });
    expect(unnamed.find(({ cable }) => cable === 'A')!.runs).toEqual([
      [1, 24],
      [37, 144],
    ]);
  });

  test('a cable that is called so comes first', () => {
    const named = [...cables, { ...cables[0]!, name: 'A.in' }];
    const plan = parsePlan('splice A.in 1 to B 1', named);
    expect(plan.lines[0]!.a).toMatchObject({ cable: 'A.in', leg: null });
  });

  test('without a leg the whole fiber is meant: it is not spliced besides', () => {
    const { errors } = expand('through A 1-12\nsplice A.out 12 to B 1');
    expect(errors[0]!.message).toMatchObject({
      code: 'namedTwice',
      cable: 'A',
      runs: '12',
      earlier: 1,
    });
    expect(expand('splice A.in 1 to B 1\nsplice A.in 1 to B 2').errors).toHaveLength(1);
  });

  test('what passes has both legs', () =>
    expect(errorOf('through A.in 1-12')).toEqual({
      at: 'A.in 1-12',
      message: { code: 'legNotHere', cable: 'A', leg: 'in', verb: 'through' },
    }));

  test('the stub of a cut tube is reserved or dead, and taken but once', () => {
    const { errors, fates, joints } = expand(
      'splice A.in 1-12 to B 1-12\nreserve A.out 1-11 "stub"\ndead A.out 12',
    );
    expect(errors).toEqual([]);
    expect(joints).toHaveLength(12);
    expect(fates).toEqual([
      { cable: 'A', leg: 'out', runs: [[1, 11]], verb: 'reserve', note: 'stub' },
      { cable: 'A', leg: 'out', runs: [[12, 12]], verb: 'dead', note: null },
    ]);
    expect(expand('splice A.in 1 to B 1\nreserve A.in 1').errors).toMatchObject([
      { message: { code: 'namedTwice', cable: 'A', runs: '1' } },
    ]);
    expect(expand('splice A.in 1 to B 1\nreserve A 1').errors).toHaveLength(1);
  });
});

const twelve = fc.integer({ min: 1, max: 12 });
const selection = fc
  .tuple(twelve, twelve)
  .map(([one, other]) => [Math.min(one, other), Math.max(one, other)] as const);

test('what is printed reads as the same splices', () => {
  fc.assert(
    fc.property(
      selection,
      selection,
      fc.boolean(),
      fc.boolean(),
      fc.constantFrom(1, 12),
      fc.constantFrom(null, 'in' as const, 'out' as const),
      ([first, last], [start], mass, reversed, unit, leg) => {
        const count = last - first + 1;
        const whole = mass || reversed ? 12 : unit;
        const runA = [(first - 1) * whole + 1, last * whole] as const;
        const runB = [(start - 1) * whole + 1, (start + count - 1) * whole] as const;
        fc.pre(runB[1] <= 144);
        const line = {
          verb: 'splice' as const,
          a: { cable: 'A', leg, runs: [runA] },
          b: { cable: 'T', leg: null, runs: [runB] },
          method: mass ? ('mass' as const) : ('single' as const),
          end: null,
          polarity: null,
          reversed,
          note: null,
        };
        const text = printLine(line, cables);
        const plan = parsePlan(text, cables);
        expect(plan.errors).toEqual([]);
        expect(plan.lines[0]).toMatchObject({
          ...line,
          a: { cable: 'A', leg, runs: [runA] },
          b: { cable: 'T', leg: null, runs: [runB] },
        });
        expect(printLine(plan.lines[0]!, cables)).toBe(text);
      },
    ),
  );
});

test('splices said in lines expand to the same splices', () => {
  const text = [
    'splice A tubes 1-3 to B tubes 2-4',
    'splice A 100-105 to G 7-12',
    'splice R ribbons 1-5 to T ribbons 2-6',
    'splice R ribbons 7-8 to T ribbons 7-8 reversed',
    'splice R ribbon 10 to T ribbon 1 reversed',
  ].join('\n');
  const { joints } = expand(text);
  const lines = collapseJoints(joints, cables);
  expect(lines.map((line) => printLine(line, cables)).join('\n')).toBe(text);
});

test('runs are counted with both ends', () => {
  expect(
    countOf([
      [1, 12],
      [20, 20],
    ]),
  ).toBe(13);
});
