import { findCauses } from '../diagnose/causes.ts';
import { fiberTo, lineOf, reflection, splice } from './line.testing.ts';
import { pairTraces } from '../measure/pairTraces.ts';
import type { ProofTrace } from './alignedTraces.ts';
import { alignTraces } from './alignTraces.ts';
import { missingOf, namesOf } from './problems.ts';
import type { TraceFigures } from '../measure/measureTrace.ts';

const SHEATH = [2000, 3000, 2500];
const to = fiberTo(SHEATH);
const length = to.at(-1)!;
const circuits = new Map(
  [1, 2, 3].map((fiber) => [`A ${fiber}`, lineOf({ sheath: SHEATH }, fiber)]),
);

function trace(
  fiber: number,
  direction: 'AB' | 'BA',
  nm: number,
  change: Partial<ProofTrace> = {},
) {
  const places = direction === 'AB' ? to : [...to].reverse().map((at) => length - at);
  const id = `A ${fiber} ${direction} ${nm}`;
  return {
    id,
    name: `${id.replaceAll(' ', '_')}.sor`,
    circuit: `A ${fiber}`,
    direction,
    wavelengthNm: nm,
    events: [splice(places[1]!), splice(places[2]!)],
    endM: length,
    fadedM: null,
    rangeM: 12_000,
    groupIndex: 146_820,
    samplesDigest: id,
    measuredAtMs: null,
    ...change,
  } satisfies ProofTrace;
}
const all = (change: Partial<ProofTrace> = {}) =>
  [1, 2, 3].flatMap((fiber) =>
    (['AB', 'BA'] as const).map((direction) => trace(fiber, direction, 1550, change)),
  );
const problemsOf = (traces: ProofTrace[]) => alignTraces(circuits, traces).problems;

describe('a cable whose outer end has no place', () => {
  // Nobody has spliced yet: every fiber ends 700 m in, at a closure that nothing places.
  const open = new Map(
    [1, 2, 3].map((fiber) => {
      const route = lineOf({ sheath: [null, 3000, null] }, fiber);
      const points = route.points.map((point) => ({
        ...point,
        isFused: point.closureId === null,
      }));
      return [`A ${fiber}`, { ...route, points }] as const;
    }),
  );
  const shots = [1, 2, 3].map((fiber) => trace(fiber, 'AB', 1550, { events: [], endM: 700 }));
  const aligned = alignTraces(open, shots);

  it('no break is told; the cable whose length is missing is named', () => {
    expect(findCauses(aligned, open, new Map(), [], new Map())).toEqual([]);
    expect(aligned.problems.map(({ message }) => message)).toEqual([
      { code: 'lengthUnknown', cable: 'A' },
    ]);
  });

  it('what ends at an open splice has no total', () => {
    expect([...aligned.alignments.values()].map(({ reachesEnd }) => reachesEnd)).toEqual([
      false,
      false,
      false,
    ]);
  });
});

describe('a circuit from port to port', () => {
  it('begins and ends in a closure; its lengths are fitted like those of others', () => {
    const route = lineOf({ sheath: SHEATH });
    const points = route.points.map((point, index) => ({
      ...point,
      closureId: point.closureId ?? `panel ${index}`,
    }));
    const ports = new Map([['A 1', { ...route, points }]]);
    const aligned = alignTraces(ports, [trace(1, 'AB', 1550), trace(1, 'BA', 1550)]);
    expect(aligned.problems).toEqual([]);
    expect([...aligned.alignments.values()].every(({ reachesEnd }) => reachesEnd)).toBe(true);
  });
});

describe('traces of a project, aligned', () => {
  it('sound ones have no problem', () => {
    expect(problemsOf(all())).toEqual([]);
  });

  it('of several shots the newest counts, the others are earlier ones, and nothing is odd', () => {
    const [first, ...rest] = all();
    const again = { ...first!, id: 'again', name: 'again.sor', samplesDigest: 'again' };
    const by = (one: number | null, two: number | null) => {
      const { traces, earlier, problems } = alignTraces(circuits, [
        { ...again, measuredAtMs: two },
        { ...first!, measuredAtMs: one },
        ...rest,
      ]);
      expect(problems).toEqual([]);
      return [traces.find(({ circuit }) => circuit === first!.circuit)!.id, earlier[0]!.id];
    };
    expect(by(Date.UTC(2026, 4, 1), Date.UTC(2027, 4, 1))).toEqual(['again', first!.id]);
    expect(by(Date.UTC(2027, 4, 1), Date.UTC(2026, 4, 1))).toEqual([first!.id, 'again']);
    // A clock that was never set says nothing: what came in last is newer.
    expect(by(null, Date.UTC(2027, 4, 1))).toEqual([first!.id, 'again']);
  });

  it('noise only takes no part in the fit', () => {
    const list = [...all().slice(1), trace(1, 'AB', 1550, { events: [], endM: 0 })];
    const aligned = alignTraces(circuits, list);
    expect(aligned.problems[0]!.message.code).toBe('noiseOnly');
    expect(aligned.alignments.has('A 1 AB 1550')).toBe(false);
  });

  it('a fiber lost in noise is not called broken', () => {
    const [first, ...rest] = all();
    const aligned = alignTraces(circuits, [{ ...first!, endM: null, fadedM: 6000 }, ...rest]);
    expect(aligned.problems[0]!.message).toMatchObject({
      code: 'lostInNoise',
      label: 'A 1',
      from: { rangeM: 6000 },
    });
    expect(aligned.alignments.get(first!.id)!.early).toBeNull();
  });

  it('distances of an odd group index are made those of its peers', () => {
    const [first, ...rest] = all();
    const by = 146_820 / 150_000;
    const odd = {
      ...first!,
      groupIndex: 150_000,
      events: first!.events.map((event) => ({ ...event, positionM: event.positionM * by })),
      endM: length * by,
    };
    const aligned = alignTraces(circuits, [odd, ...rest]);
    expect(aligned.traces.find(({ id }) => id === odd.id)!.endM).toBeCloseTo(length, 6);
    expect(aligned.indexRatio.get(odd.id)).toBeCloseTo(1 / by, 9);
  });

  it('names of files: three, and how many more', () => {
    expect(namesOf(all().slice(0, 2)).items).toEqual(['A_1_AB_1550.sor', 'A_1_BA_1550.sor']);
    expect(namesOf(all()).most).toBe(3);
  });
});

describe('both directions, splice by splice', () => {
  const figure = (loss: number, sigma = 0.003) => ({ lossDb: loss, sigmaDb: sigma });
  const figures = (AB: number[], BA: number[]) =>
    new Map<string, TraceFigures>([
      [
        'A 1 AB 1550',
        {
          points: [null, ...AB.map((loss) => figure(loss)), null],
          unmatched: [],
          total: figure(3),
          attenuationDbPerKm: [],
        },
      ],
      [
        'A 1 BA 1550',
        {
          points: [null, ...BA.map((loss) => figure(loss, 0.004)), null],
          unmatched: [],
          total: figure(3.2),
          attenuationDbPerKm: [],
        },
      ],
    ]);
  const aligned = alignTraces(circuits, [trace(1, 'AB', 1550), trace(1, 'BA', 1550)]);

  // STD: one way from 8.6 onto 9.2 um reads 10 log10(9.2/8.6) = 0.2929 dB beyond the loss, back as much less.
  it('the excess of unlike mode fields cancels in the mean', () => {
    const { splices } = pairTraces(
      aligned,
      circuits,
      figures([0.2929 + 0.05, 0.1], [0.3, 0.05 - 0.2929]),
    );
    expect(splices[0]!.mean!.lossDb).toBeCloseTo(0.05, 9);
    expect(splices[0]!.modeField!.lossDb).toBeCloseTo(0.2929, 9);
    expect(10 ** (splices[0]!.modeField!.lossDb / 10) * 8.6).toBeCloseTo(9.2, 3);
    // Walked from B the second closure comes first.
    expect(splices[1]).toMatchObject({ forward: figure(0.1), backward: figure(0.3, 0.004) });
    expect(splices[1]!.mean!.sigmaDb).toBeCloseTo(0.0025, 9);
  });

  it('the total is the mean of both; what is missing is named', () => {
    const { totals } = pairTraces(aligned, circuits, figures([0.1, 0.1], [0.1, 0.1]));
    expect(totals).toMatchObject([{ circuit: 'A 1', wavelengthNm: 1550 }]);
    expect(totals[0]!.mean!.lossDb).toBeCloseTo(3.1, 9);
    expect(missingOf([trace(1, 'AB', 1310)], circuits)[0]!.message).toEqual({
      code: 'directionMissing',
      label: 'A 1',
      wavelengthNm: 1310,
      missing: 'BA',
    });
  });

  it('a reflection where a fusion was planned is a connector or air', () => {
    const shiny = trace(1, 'AB', 1550, { events: [reflection(to[1]!, 0.3), splice(to[2]!)] });
    const own = alignTraces(circuits, [shiny]);
    const read = new Map([['A 1 AB 1550', figures([0.3, 0.02], []).get('A 1 AB 1550')!]]);
    const { splices } = pairTraces(own, circuits, read);
    const place = {
      id: 'weir 1',
      closureId: 'weir',
      closure: 'weir',
      tray: 1,
      slot: 1,
      label: 'A 1 to B 1',
      mass: false,
      position: null,
      made: true,
      limitDb: { mean: 0.1, oneWay: 0.15 },
    };
    const [found] = findCauses(own, circuits, read, splices, new Map([[place.id, place]]));
    expect(found).toMatchObject({ cause: 'connector', spliceIds: ['weir 1'] });
    expect(found!.message).toMatchObject({ code: 'reflects', label: 'A 1 to B 1' });
  });
});
