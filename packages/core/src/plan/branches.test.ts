import type { MakeUp } from '../record/cable.ts';
import { Network, type NetworkSplice } from './network.ts';
import { findNetworkProblems } from './networkProblems.ts';

const cable = (id: string, makeUp: MakeUp) => ({ id, name: id, makeUp, closureId: 'K' });
const drop = (id: string) => cable(id, { kind: 'drop', fibers: 8 });
const splitter = (id: string, outputs: number) => cable(id, { kind: 'splitter', outputs });
const cables = [
  drop('A'),
  drop('B'),
  drop('C'),
  splitter('S', 4),
  splitter('U', 8),
  cable('T', { kind: 'ports', place: 'terminal', ports: 8, connector: 'SC', polish: 'APC' }),
];
const join = (cableA: string, fiberA: number, cableB: string, fiberB: number): NetworkSplice => ({
  ...{ closure: 'K', cableA, fiberA, cableB, fiberB },
  method: 'single',
});
const IN_S = 5;
const IN_U = 9;

/** A 1 feeds S; S output 1 feeds B 1, output 2 feeds U, whose outputs 1 to 3 end at ports. */
const tree = [
  join('A', 1, 'S', IN_S),
  join('S', 1, 'B', 1),
  join('S', 2, 'U', IN_U),
  ...[1, 2, 3].map((output) => join('U', output, 'T', output)),
];

describe('circuits branch at splitters', () => {
  const whole = new Network(cables, tree).wholeCircuits();

  test('one for each far end, and none twice', () => expect(whole).toHaveLength(4));

  test('with the splices, the splitters and the ends on its way', () => {
    const [short, long] = [whole[0]!, whole[1]!];
    expect(short).toMatchObject({ splices: 2, splitterMdb: 7200, ends: [] });
    expect(short.splitters).toEqual([{ cable: 'S', output: 1 }]);
    // 1:4 and 1:8 one behind the other, at most 7.2 and 10.5 dB (ITU-T G.671, from memory).
    expect(long).toMatchObject({ splices: 3, splitterMdb: 17_700, ends: [3] });
    expect(long.parts.map(({ cable: id }) => id)).toEqual(['A', 'S', 'U']);
  });

  test('a fiber is followed up to its splitter, from where light comes', () => {
    const network = new Network(cables, tree);
    const circuit = network.follow('B', 1);
    expect(circuit.steps.map(({ cable: id }) => id)).toEqual(['S', 'B']);
    expect(network.feedOf(circuit)).toEqual({ cable: 'S', output: 1 });
    expect(network.fedBy(network.follow('A', 1))).toBe('S');
    expect(network.fedBy(circuit)).toBeNull();
  });

  test('without splitters each circuit is one, as the survey counts', () => {
    const plain = new Network(cables, [
      join('A', 1, 'B', 1),
      join('B', 1, 'C', 1),
      join('A', 2, 'T', 1),
    ]);
    expect(plain.wholeCircuits().map(({ splices, ends }) => [splices, ends])).toEqual([
      [2, []],
      [1, [2]],
    ]);
    expect(plain.survey().circuits).toBe(2);
  });

  test('a splitter whose outputs nobody uses is an end', () =>
    expect(new Network(cables, tree.slice(0, 1)).wholeCircuits()).toMatchObject([
      { splices: 1, splitters: [] },
    ]));

  test('splitters that feed each other come to an end', () => {
    const round = [join('S', 1, 'U', IN_U), join('U', 1, 'S', IN_S), join('A', 1, 'S', 2)];
    expect(new Network(cables, round).wholeCircuits()).toEqual([]);
  });
});

describe('what is wrong with a splitter', () => {
  const problems = (splices: NetworkSplice[]) =>
    findNetworkProblems(new Network(cables, splices), () => true).map(({ message }) => message);

  test('outputs of two meet', () =>
    expect(
      problems([
        join('A', 1, 'S', IN_S),
        join('A', 2, 'U', IN_U),
        join('S', 1, 'B', 1),
        join('U', 1, 'B', 1),
      ]),
    ).toEqual([{ code: 'fedFromTwo', splitters: ['S', 'U'] }]));

  test('outputs in use, and no feed', () =>
    expect(problems([join('S', 1, 'B', 1)])).toEqual([{ code: 'notFed', splitter: 'S' }]));

  test('a tree that is right', () => expect(problems(tree)).toEqual([]));
});
