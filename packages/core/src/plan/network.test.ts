import { Network, type NetworkSplice } from './network.ts';
import { findNetworkProblems } from './networkProblems.ts';

const tube = { kind: 'loose-tube' as const, tubes: 2, fibersPerTube: 12 };
const cables = ['A', 'B', 'C', 'D'].map((name) => ({ id: name, name, makeUp: tube }));
const run = (
  closure: string,
  cableA: string,
  first: number,
  cableB: string,
  start: number,
  count: number,
): NetworkSplice[] =>
  Array.from({ length: count }, (_, index) => ({
    closure,
    cableA,
    fiberA: first + index,
    cableB,
    fiberB: start + index,
    method: 'single',
  }));
const nothingKnown = () => false;
const problemsOf = (splices: NetworkSplice[], known = nothingKnown) =>
  findNetworkProblems(new Network(cables, splices), known);

// Common practice, no source: what goes wrong when fibers are counted by hand.
describe('following a fiber', () => {
  const network = new Network(cables, [
    ...run('K1', 'A', 1, 'B', 1, 24),
    ...run('K2', 'C', 1, 'B', 13, 12),
  ]);

  test('from any place to both ends, through splices written either way round', () => {
    const want = [
      ['A', 13],
      ['B', 13],
      ['C', 1],
    ];
    for (const [cable, fiber] of want as [string, number][]) {
      const { steps, circle } = network.follow(cable, fiber);
      expect(steps.map((step) => [step.cable, step.fiber])).toEqual(want);
      expect(steps.map((step) => step.splice)).toEqual([12, 24, null]);
      expect(circle).toBe(false);
    }
  });

  test('a fiber without a splice is a circuit of one step', () => {
    expect(network.follow('D', 7).steps).toEqual([{ cable: 'D', fiber: 7, splice: null }]);
    expect(() => network.follow('D', 25)).toThrow(RangeError);
  });

  test('all circuits: 24 heads, the longest over two closures', () => {
    expect(network.survey()).toEqual({ circuits: 24, longest: 2, circles: [] });
  });
});

// Common practice, no source: a fiber cut at a closure carries one service to it and another from it.
describe('a fiber that is cut on the way of its cable, both legs spliced, is two fibers', () => {
  // F goes from K1 past K2 to K3; at K2 its legs go to C and D.
  const cut: NetworkSplice[] = [
    { ...run('K1', 'A', 1, 'F', 1, 1)[0]!, order: 1 },
    { ...run('K2', 'F', 1, 'C', 1, 1)[0]!, legA: 'in', order: 2 },
    { ...run('K2', 'D', 1, 'F', 1, 1)[0]!, legB: 'out', order: 2 },
    { ...run('K3', 'F', 1, 'B', 1, 1)[0]!, order: 3 },
  ];
  const six = [...cables, { id: 'F', name: 'F', makeUp: tube }];
  const network = new Network(six, cut);
  const fibers = ({ steps }: { steps: { cable: string }[] }) => steps.map(({ cable }) => cable);

  test('no fiber of it has a third splice, and no circuit runs through the cut', () => {
    expect(network.crowded).toEqual([]);
    expect(network.survey()).toEqual({ circuits: 2, longest: 2, circles: [] });
    expect(findNetworkProblems(network, nothingKnown)).toEqual([]);
    expect(fibers(network.follow('A', 1))).toEqual(['A', 'F', 'C']);
    expect(fibers(network.follow('B', 1))).toEqual(['B', 'F', 'D']);
  });

  test('each piece is followed, and by its own splice', () => {
    expect(network.followAll('F', 1).map(fibers)).toEqual([
      ['A', 'F', 'C'],
      ['B', 'F', 'D'],
    ]);
    expect(fibers(network.follow('F', 1, 3))).toEqual(['B', 'F', 'D']);
    expect(network.followAll('F', 2).map(fibers)).toEqual([['F']]);
    expect(network.isCut('F', 1)).toBe(true);
    expect(network.isCut('F', 2)).toBe(false);
  });

  test('legs spliced to each other make it whole again', () => {
    const again = new Network(six, [
      cut[0]!,
      { ...run('K2', 'F', 1, 'F', 1, 1)[0]!, legA: 'in', legB: 'out', order: 2 },
      cut[3]!,
    ]);
    expect(again.survey()).toEqual({ circuits: 1, longest: 3, circles: [] });
    expect(again.followAll('F', 1).map(fibers)).toEqual([['A', 'F', 'F', 'B']]);
  });

  test('whole circuits end at the cut, each with a splice of its own', () => {
    expect(
      network.wholeCircuits().map(({ parts, splices }) => [parts[0]!.splice, splices]),
    ).toEqual([
      [0, 2],
      [3, 2],
    ]);
  });
});

describe('what looks wrong is found and named', () => {
  test('a straight line has no problem', () => {
    expect(
      problemsOf([...run('K1', 'A', 1, 'B', 1, 24), ...run('K2', 'B', 1, 'C', 1, 24)]),
    ).toEqual([]);
  });

  test('a shift against the neighbors', () => {
    const splices = run('K1', 'A', 1, 'B', 1, 12);
    [splices[4]!.fiberB, splices[5]!.fiberB] = [6, 5];
    const problems = problemsOf(splices);
    expect(problems.map(({ kind, splice }) => [kind, splice])).toEqual([
      ['shift', 4],
      ['shift', 5],
    ]);
    expect(problems[0]!.message).toEqual({
      code: 'outOfLine',
      fibers: { pairs: [{ cableA: 'A', fiberA: 5, cableB: 'B', fiberB: 6 }] },
      cable: 'B',
      fiber: 5,
    });
  });

  test('a ribbon laid the other way round', () => {
    const ribbons = cables.map((cable) => ({
      ...cable,
      makeUp: { kind: 'ribbon' as const, ribbons: 2 },
    }));
    const splices = run('K1', 'A', 1, 'B', 1, 12).map((splice): NetworkSplice => ({
      ...splice,
      fiberB: 13 - splice.fiberA,
      method: 'mass',
    }));
    const [problem] = findNetworkProblems(new Network(ribbons, splices), nothingKnown);
    expect(problem).toMatchObject({ kind: 'flip', closure: 'K1' });
    expect(problem!.message).toMatchObject({ code: 'ribbonFlipped', neighbours: 11 });
    const meant = (closure: string, cable: string) => closure === 'K1' && cable === 'A';
    expect(findNetworkProblems(new Network(ribbons, splices), nothingKnown, meant)).toEqual([]);
  });

  test('an unassigned end, unless it is known to be one', () => {
    const splices = [...run('K1', 'A', 1, 'B', 1, 12), ...run('K2', 'B', 1, 'C', 1, 10)];
    const [problem] = problemsOf(splices);
    expect(problem).toMatchObject({ kind: 'ends', closure: 'K2' });
    expect(problem!.message).toEqual({
      code: 'unassigned',
      cable: 'B',
      runs: '11-12',
      fibers: 2,
    });
    const known = (closure: string, cable: string, fiber: number) =>
      closure === 'K2' && cable === 'B' && fiber > 10;
    expect(findNetworkProblems(new Network(cables, splices), known)).toEqual([]);
  });

  test('a circle', () => {
    const splices = [
      ...run('K1', 'A', 1, 'B', 1, 1),
      ...run('K2', 'B', 1, 'C', 1, 1),
      ...run('K3', 'C', 1, 'A', 1, 1),
    ];
    const network = new Network(cables, splices);
    expect(network.follow('B', 1).circle).toBe(true);
    expect(findNetworkProblems(network, nothingKnown).map(({ kind }) => kind)).toEqual(['circle']);
  });

  test('a third splice at one fiber', () => {
    const splices = ['B', 'C', 'D'].flatMap((other, index) =>
      run(`K${index}`, 'A', 1, other, 1, 1),
    );
    expect(problemsOf(splices)[0]).toMatchObject({ kind: 'twice', splice: 2 });
  });
});
