import fc from 'fast-check';
import type { MakeUp } from '../record/cable.ts';
import { BUILT_IN_SCHEMES } from '../fiber/schemes.ts';
import { collapseJoints } from './collapse.ts';
import { evaluatePlan } from './evaluatePlan.ts';
import { expandPlan } from './expand.ts';
import { parsePlan } from './parsePlan.ts';
import { printLine } from './printLine.ts';

const scheme = BUILT_IN_SCHEMES[0]!;
const cable = (name: string, makeUp: MakeUp) => ({ name, makeUp, scheme });
const cables = [
  cable('A', { kind: 'loose-tube', tubes: 2, fibersPerTube: 12 }),
  cable('D', { kind: 'drop', fibers: 4 }),
  cable('R', { kind: 'ribbon', ribbons: 6 }),
  cable('T1', { kind: 'ports', place: 'terminal', ports: 8, connector: 'SC', polish: 'APC' }),
  cable('M1', { kind: 'ports', place: 'module', ports: 72, connector: 'LC', polish: 'UPC' }),
  cable('P1', { kind: 'ports', place: 'panel', ports: 6, connector: 'array', polish: 'APC' }),
  cable('S1', { kind: 'splitter', outputs: 8 }),
];
const parse = (text: string) => parsePlan(text, cables);
const expand = (text: string) => expandPlan(parse(text), cables);
const errorsOf = (text: string) => {
  const lines = text.split('\n');
  const parsed = parse(text);
  return [...parsed.errors, ...expandPlan(parsed, cables).errors].map(
    ({ line, from, to, message }) => ({ at: lines[line]!.slice(from, to), message }),
  );
};

describe('fibers onto ports', () => {
  test('a line names the ports, the connector and how the end is made', () => {
    const { joints, errors } = expand('terminate D 1-4 on T1 ports 3-6 SC APC mechanical');
    expect(errors).toEqual([]);
    expect(joints.map(({ fiberA, fiberB }) => [fiberA, fiberB])).toEqual([
      [1, 3],
      [2, 4],
      [3, 5],
      [4, 6],
    ]);
    expect(joints.every(({ end, method }) => end === 'mechanical' && method === 'single')).toBe(
      true,
    );
  });

  test('method A keeps 1 to 1, method B reverses to 12 (TIA-568, from memory)', () => {
    const pairs = (text: string) =>
      expand(text).joints.map(({ fiberA, fiberB }) => [fiberA, fiberB]);
    const a = pairs('terminate R ribbons 1-6 on M1 ports 1-72 polarity A');
    expect(a).toHaveLength(72);
    expect(a.every(([fiber, port]) => fiber === port)).toBe(true);
    const b = pairs('terminate R ribbons 1-2 on P1 ports 1-2 polarity B');
    expect(b.slice(0, 12)).toEqual(Array.from({ length: 12 }, (_, at) => [at + 1, 12 - at]));
    expect(b[12]).toEqual([13, 24]);
  });

  test('ribbons onto pigtails are fused twelve at once', () => {
    const { joints } = expand('terminate R ribbons 1-3 on M1 ports 1-36');
    expect(joints.every(({ end, method }) => end === 'pigtail' && method === 'mass')).toBe(true);
  });

  test.each([
    ['terminate D 1 on A 1', 'A 1', { code: 'notPorts', cable: 'A' }],
    ['splice D 1 to T1 port 1', 'T1 port 1', { code: 'portsTerminate', cable: 'T1' }],
    ['terminate T1 port 1 on M1 port 1', 'T1 port 1', { code: 'portsFirst', cable: 'T1' }],
    [
      'terminate D 1 on T1 port 1 SC UPC',
      'UPC',
      { code: 'polishDiffers', cable: 'T1', has: 'APC', text: 'UPC' },
    ],
    [
      'terminate D 1 on T1 port 1 LC',
      'LC',
      { code: 'connectorDiffers', cable: 'T1', has: 'SC', text: 'LC' },
    ],
    ['terminate R ribbon 1 on P1 port 1 polarity', 'polarity', { code: 'whichPolarity' }],
    ['terminate R ribbon 1 on P1 port 1 polarity C', 'C', { code: 'whichPolarity' }],
    ['terminate D 1 T1 port 1', 'T1', { code: 'sayPorts' }],
    [
      'terminate D 1 on T1 port 9',
      '9',
      { code: 'outside', cable: 'T1', unit: 'port', most: 8, text: '9' },
    ],
    [
      'terminate R ribbon 1 on M1 ports 1-12 mass mechanical',
      'terminate R ribbon 1 on M1 ports 1-12 mass mechanical',
      { code: 'massNotFused', end: 'mechanical' },
    ],
    [
      'terminate A 1-6 on M1 ports 1-6 polarity B',
      'A 1-6',
      { code: 'notWhole', for: 'reversed', from: 1, to: 6, fibers: 6, size: 12, over: 'no' },
    ],
  ])('%s: %s is wrong', (line, at, message) => expect(errorsOf(line)).toEqual([{ at, message }]));

  test('a port takes one fiber', () =>
    expect(errorsOf('terminate D 1-2 on T1 ports 1-2\nterminate D 3 on T1 port 2')).toEqual([
      {
        at: 'T1 port 2',
        message: { code: 'portTaken', cable: 'T1', runs: '2', ports: 1, earlier: 1 },
      },
    ]));

  test('one module has one polarity', () => {
    const text =
      'terminate R ribbon 1 on M1 ports 1-12 polarity A\nterminate R ribbon 2 on M1 ports 13-24 polarity B';
    expect(errorsOf(text)).toEqual([
      {
        at: text.split('\n')[1],
        message: { code: 'polarityCrosses', cable: 'M1', polarity: 'B', earlier: 1 },
      },
    ]);
  });
});

test('ribbons onto pigtails of single ports take a slot a ribbon', () => {
  const trays = [1, 2].map((number) => ({ number, single: 24, mass: 12 }));
  const { layout, obstacles } = evaluatePlan({
    text: 'terminate R ribbons 1-2 on P24 ports 1-24 pigtail',
    pins: [],
    spare: 0,
    anew: false,
    retire: false,
    cables: [
      ...cables,
      cable('P24', { kind: 'ports', place: 'panel', ports: 24, connector: 'SC', polish: 'APC' }),
    ],
    trays,
    there: [],
  });
  expect(obstacles).toEqual([]);
  const slots = new Map<string, number>();
  for (const { tray, slot } of layout.placed)
    slots.set(`${tray}.${slot}`, (slots.get(`${tray}.${slot}`) ?? 0) + 1);
  expect([...slots]).toEqual([
    ['1.1', 12],
    ['1.2', 12],
  ]);
  expect([layout.trays, layout.leastTrays]).toEqual([1, 1]);
});

describe('splitters in a plan', () => {
  test('fed by its input, and its outputs are spliced or end at ports', () => {
    const { joints, errors } = expand(
      'splice A 1 to S1 in\nsplice S1 out 1-4 to D 1-4\nterminate S1 out 5-8 on T1 ports 1-4',
    );
    expect(errors).toEqual([]);
    expect(joints[0]).toMatchObject({ cableB: 'S1', fiberB: 9 });
    expect(joints[1]).toMatchObject({ cableA: 'S1', fiberA: 1, cableB: 'D', fiberB: 1 });
    expect(joints.at(-1)).toMatchObject({ cableA: 'S1', fiberA: 8, cableB: 'T1', fiberB: 4 });
  });

  test('is fed once', () =>
    expect(errorsOf('splice A 1 to S1 in\nsplice A 2 to S1 in')).toEqual([
      { at: 'S1 in', message: { code: 'fedTwice', cable: 'S1', earlier: 1 } },
    ]));

  test('has the outputs that it has', () =>
    expect(errorsOf('splice S1 out 9 to A 1')).toEqual([
      { at: '9', message: { code: 'outside', cable: 'S1', unit: 'output', most: 8, text: '9' } },
    ]));
});

test('lines with ends are printed as they are read', () => {
  const text = [
    'splice A 1 to S1 in',
    'splice S1 outputs 1-4 to D 1-4',
    'terminate A 5-8 on T1 ports 1-4 mechanical',
    'terminate S1 output 8 on T1 port 8 splice-on',
    'terminate R ribbons 1-2 on M1 ports 1-24',
    'terminate R ribbons 3-4 on P1 ports 1-2 polarity B',
  ].join('\n');
  const parsed = parse(text);
  expect(parsed.errors).toEqual([]);
  expect(parsed.lines.map((line) => printLine(line, cables)).join('\n')).toBe(text);
  const collapsed = collapseJoints(expandPlan(parsed, cables).joints, cables);
  expect(collapsed.map((line) => printLine(line, cables)).join('\n')).toBe(text);
});

describe('where ends lie', () => {
  const evaluate = (text: string, there: Parameters<typeof evaluatePlan>[0]['there'] = []) =>
    evaluatePlan({
      text,
      pins: [],
      spare: 0,
      anew: false,
      retire: false,
      cables,
      trays: [{ number: 1, single: 24, mass: 0 }],
      there,
    });

  test('a pigtail is spliced on a tray; any other end is made at its port', () => {
    const { change, obstacles } = evaluate(
      'terminate A 1-2 on T1 ports 1-2\nterminate D 1-2 on T1 ports 3-4 mechanical',
    );
    expect(obstacles).toEqual([]);
    const places = change.added.map(({ end, tray, slot }) => [end, tray, slot]);
    expect(places).toEqual([
      ['pigtail', 1, 1],
      ['pigtail', 1, 2],
      ['mechanical', 0, 1],
      ['mechanical', 0, 2],
    ]);
  });

  test('what is planned stays where it is while others come to it', () => {
    const first = evaluate('terminate D 1 on T1 port 1 mechanical').change.added;
    const there = first.map((end) => ({ ...end, id: 'x', worked: true }));
    const { change } = evaluate(
      'terminate D 2 on T1 port 2 mechanical\nterminate D 1 on T1 port 1 mechanical',
      there,
    );
    expect(change.kept).toHaveLength(1);
    expect(change.added).toMatchObject([{ fiberA: 2, tray: 0, slot: 2 }]);
  });

  test('another way of making it is another end, which one that is made is not', () => {
    const first = evaluate('terminate D 1 on T1 port 1 mechanical').change.added;
    const as = (worked: boolean) => first.map((end) => ({ ...end, id: 'x', worked }));
    const text = 'terminate D 1 on T1 port 1 splice-on';
    expect(evaluate(text, as(false)).change.moved).toHaveLength(1);
    expect(evaluate(text, as(true)).change.refused).toHaveLength(1);
  });

  test('no two ends made at their ports share a place', () => {
    const runs = fc.uniqueArray(fc.integer({ min: 1, max: 8 }), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(runs, (ports) => {
        const text = ports
          .map((port, index) => `terminate D ${index + 1} on T1 port ${port} mechanical`)
          .join('\n');
        const { change } = evaluate(text);
        expect(new Set(change.added.map(({ slot }) => slot)).size).toBe(ports.length);
      }),
    );
  });
});
