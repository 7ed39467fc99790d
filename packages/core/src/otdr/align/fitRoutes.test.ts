import { type FitGroup, fitRoutes } from './fitRoutes.ts';
import { HELIX, fiberTo, lineOf, reflection, splice } from './line.testing.ts';
import { reversed } from './route.ts';

const SHEATH = [2200, 4700, 3400, 3900, 3300];
const COILS: [number, number][] = [
  [0, 15],
  [15, 15],
  [15, 15],
  [15, 15],
  [15, 0],
];
const whole = SHEATH.map((meters, index) => meters + COILS[index]![0] + COILS[index]![1]);

/** Twelve traces of a line that holds so much sheath, each a little off, from A and from B. */
function groupsOf(
  truth: readonly number[],
  written = lineOf({ sheath: SHEATH, coils: COILS }),
  { scale = HELIX, launch = 0 } = {},
): FitGroup[] {
  const to = fiberTo(truth, scale);
  const length = to.at(-1)!;
  const shots = (places: readonly number[], before: number) =>
    Array.from({ length: 12 }, (_, fiber) => ({
      id: `${fiber}`,
      events: [
        ...(before > 0 ? [reflection(before)] : []),
        ...places.slice(1, -1).map((at) => splice(before + at + ((fiber * 7) % 5) - 2)),
      ],
      endM: before + length + ((fiber * 3) % 4) - 1.5,
    }));
  return [
    { key: 'A', route: written, traces: shots(to, 0) },
    {
      key: 'B',
      route: reversed(written),
      traces: shots(
        [...to].reverse().map((at) => length - at),
        launch,
      ),
    },
  ];
}

describe('the route fitted to all traces together', () => {
  it('right lengths: nothing is corrected, every closure lies where it is seen', () => {
    const fit = fitRoutes(groupsOf(whole));
    expect(fit.corrections).toEqual([]);
    expect(fit.scale).toBeCloseTo(1, 3);
    fiberTo(whole).forEach((at, point) => {
      expect(Math.abs(fit.groups.get('A')!.positions[point]!.positionM - at)).toBeLessThan(2);
    });
  });

  it('a helix factor or group index that is off comes out as the scale', () => {
    const fit = fitRoutes(groupsOf(whole, undefined, { scale: HELIX * 1.01 }));
    expect(fit.scale).toBeGreaterThan(1.006);
    expect(fit.corrections).toEqual([]);
  });

  it('a launch fiber is the offset of its end', () => {
    const fit = fitRoutes(groupsOf(whole, undefined, { launch: 502 }));
    expect(fit.groups.get('A')).toMatchObject({ launch: false, offsetM: 0 });
    expect(fit.groups.get('B')!.launch).toBe(true);
    expect(Math.abs(fit.groups.get('B')!.offsetM - 502)).toBeLessThan(3);
  });

  it('one loop that was written wrongly: which cable, how much, and the closure it most likely is', () => {
    const coils = COILS.map((pair) => [...pair] as [number, number]);
    coils[2]![1] = 60;
    const fit = fitRoutes(groupsOf(whole, lineOf({ sheath: SHEATH, coils })));
    expect(fit.corrections).toHaveLength(1);
    expect(fit.corrections[0]).toMatchObject({ kind: 'span', cableId: 'C', closureId: 'ford' });
    expect(Math.abs(fit.corrections[0]!.meters + 45 * HELIX)).toBeLessThan(5);
    expect(fit.corrections[0]!.message).toMatchObject({
      code: 'spanLoop',
      closure: 'ford',
      written: { tapeM: 60 },
    });
  });

  it('both loops of a closure written wrongly are that closure’s', () => {
    const coils = COILS.map((pair) => [...pair] as [number, number]);
    coils[1]![1] = coils[2]![0] = 55;
    const fit = fitRoutes(groupsOf(whole, lineOf({ sheath: SHEATH, coils })));
    expect(fit.corrections).toHaveLength(1);
    expect(fit.corrections[0]).toMatchObject({ kind: 'coil', closureId: 'mill' });
    expect(Math.abs(fit.corrections[0]!.meters + 40)).toBeLessThan(5);
  });

  it('a closure whose distance is wrong: what lacks before it is there behind it', () => {
    const sheath = [...SHEATH];
    sheath[1]! += 80;
    sheath[2]! -= 80;
    const fit = fitRoutes(groupsOf(whole, lineOf({ sheath, coils: COILS })));
    expect(fit.corrections).toHaveLength(1);
    expect(fit.corrections[0]).toMatchObject({ kind: 'place', closureId: 'mill' });
    expect(Math.abs(fit.corrections[0]!.meters + 80)).toBeLessThan(6);
  });

  it('an outer cable nobody measured: closures are told by the distances between them', () => {
    const written = lineOf({ sheath: [null, ...SHEATH.slice(1)], coils: COILS });
    const fit = fitRoutes([groupsOf(whole, written)[0]!]);
    const to = fiberTo(whole);
    [1, 2, 3, 4].forEach((point) =>
      expect(Math.abs(fit.groups.get('A')!.positions[point]!.positionM - to[point]!)).toBeLessThan(
        3,
      ),
    );
    expect(fit.unknown).toEqual([]);
  });

  it('a cable between closures that nobody measured is named', () => {
    const written = lineOf({ sheath: [2200, 4700, null, 3900, 3300], coils: COILS });
    expect(fitRoutes(groupsOf(whole, written)).unknown).toEqual(['C']);
  });

  it('a closure at which nothing stands out lies where the others put it', () => {
    const groups = groupsOf(whole);
    const hidden = fiberTo(whole)[3]!;
    const fit = fitRoutes([
      {
        ...groups[0]!,
        traces: groups[0]!.traces.map((trace) => ({
          ...trace,
          events: trace.events.filter(
            ({ positionM: position }) => Math.abs(position - hidden) > 50,
          ),
        })),
      },
    ]);
    const place = fit.groups.get('A')!.positions[3]!;
    expect(place.seen).toBe(false);
    expect(Math.abs(place.positionM - hidden)).toBeLessThan(2 * place.sigmaM);
  });
});
