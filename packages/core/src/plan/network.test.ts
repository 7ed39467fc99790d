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

describe('what looks wrong is found and named', () => {
  test('a straight line has no problem', () => {
    expect(
      problemsOf([...run('K1', 'A', 1, 'B', 1, 24), ...run('K2', 'B', 1, 'C', 1, 24)]),
    ).toEqual([]);
  });

  test('a shift against the neighbours', () => {
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
