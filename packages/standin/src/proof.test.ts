import { jointLoss, oneWayExcess } from '@cordel/core';
import {
  type ProofProblem,
  findCauses,
  findSwappedFibers,
  missingOf,
  pairTraces,
} from '@cordel/core/otdr';
import {
  CLOSURES,
  type Line,
  type ReadTrace,
  lineOf,
  proveAll,
  readTrace,
  shootAll,
  shotOf,
} from './line.testing.ts';

const MISHAPS = {
  plant: {
    4: { breakAt: 8050 },
    6: { extras: [{ at: 5200, loss: 0.04, bend: 0.25 }] },
    7: {
      extras: [
        { at: 2900, loss: 0.3, reflectance: -45 },
        { at: 5800, loss: 0, reflectance: -60, only: 'AB' as const },
      ],
    },
  },
  loss: { 'kiln 3': 0.3 },
  bend: {
    'osier 9': 0.22,
    ...Object.fromEntries(Array.from({ length: 12 }, (_, index) => [`ferry ${13 + index}`, 0.08])),
  },
  written: { N: 40 },
};
const line = lineOf(24, MISHAPS);
const shots = shootAll(line);
const { proof, figures } = proveAll(line, shots);
const { splices: joints, totals } = pairTraces(proof, line.circuits, figures);
const causes = (own: Line, list: readonly ReadTrace[]) => {
  const proved = proveAll(own, list);
  const paired = pairTraces(proved.proof, own.circuits, proved.figures);
  return findCauses(proved.proof, own.circuits, proved.figures, paired.splices, own.splices);
};
const found = findCauses(proof, line.circuits, figures, joints, line.splices);
const messages = (problems: readonly ProofProblem[], kind: ProofProblem['kind']) =>
  problems.filter((problem) => problem.kind === kind).map(({ message }) => message);

describe('both directions of a line, against what it really is', () => {
  const truth = (spliceId: string, nm: number): number => {
    const [name, fiber] = spliceId.split(' ');
    const plant = line.plants.get(`L ${fiber}`)!;
    const at = CLOSURES.indexOf(name!);
    const joint = plant.joints[at]!;
    const [a, b] = [plant.spans[at]!.mfd, plant.spans[at + 1]!.mfd];
    const mismatch = jointLoss({ mfdA: a, mfdB: b });
    const rest = Math.max(0, joint.loss - mismatch);
    return nm === 1550
      ? mismatch + rest + (joint.bend ?? 0)
      : mismatch + rest * 1.13 ** 2 + 0.04 * (joint.bend ?? 0);
  };

  it('the mean of both is the true loss, within its uncertainty', () => {
    const offs = joints.flatMap(({ spliceId, wavelengthNm, mean }) =>
      mean
        ? [(mean.lossDb - truth(spliceId, wavelengthNm)) / Math.hypot(mean.sigmaDb, 0.0005)]
        : [],
    );
    expect(offs.length).toBeGreaterThan(130);
    expect(offs.filter((off) => Math.abs(off) < 2).length / offs.length).toBeGreaterThan(0.9);
    expect(offs.filter((off) => Math.abs(off) > 5)).toEqual([]);
  });

  it('half of what they differ by is 10 log10 of the mode fields’ ratio', () => {
    for (const { spliceId, modeField } of joints) {
      if (!modeField) continue;
      const [name, fiber] = spliceId.split(' ');
      const { spans } = line.plants.get(`L ${fiber}`)!;
      const at = CLOSURES.indexOf(name!);
      expect(modeField.lossDb).toBeCloseTo(oneWayExcess(spans[at]!.mfd, spans[at + 1]!.mfd), 1.6);
    }
  });

  it('the total is the glass and the joints', () => {
    const total = totals.find(
      ({ circuit, wavelengthNm }) => circuit === 'L 2' && wavelengthNm === 1550,
    )!;
    const { spans } = line.plants.get('L 2')!;
    const glass = (0.2 * spans.reduce((sum, { meters }) => sum + meters, 0)) / 1000;
    const own = CLOSURES.reduce((sum, name) => sum + truth(`${name} 2`, 1550), 0);
    expect(total.mean!.lossDb).toBeCloseTo(glass + own, 1.7);
  });

  it('the length that was written wrongly, and nothing else', () => {
    expect(proof.fit.corrections).toHaveLength(1);
    expect(proof.fit.corrections[0]).toMatchObject({ cableId: 'N', closureId: 'osier' });
    expect(Math.abs(proof.fit.corrections[0]!.meters + 40)).toBeLessThan(4);
  });

  it.each([
    ['break', { code: 'brokenSamePlace', label: 'L 4' }],
    ['tray', { code: 'trayHigh', tray: '2', closure: 'ferry', bent: 'yes' }],
    ['bend', { code: 'unplannedBend', label: 'L 6' }],
    ['bend', { code: 'bent', label: 'osier 9', longNm: 1550, shortNm: 1310 }],
    ['splice', { code: 'badSplice', label: 'kiln 3' }],
    ['unplanned', { code: 'unplanned', label: 'L 7', reflects: 'yes' }],
    ['ghost', { code: expect.stringMatching(/^echo/) as string, label: 'L 7' }],
  ])('%s: %j', (cause, message) => {
    const own = found.filter(
      (finding) =>
        finding.cause === cause &&
        Object.entries(message).every(([key, value]) =>
          expect.objectContaining({ [key]: value as unknown }).asymmetricMatch(finding.message),
        ),
    );
    expect(own).toHaveLength(1);
  });

  it('nothing else is bad', () => {
    expect(
      found.filter(({ weight }) => weight === 'bad').map(({ message }) => message.code),
    ).toHaveLength(6);
  });

  it('the break is told in sheath from the nearest closure, within what it says', () => {
    const { place } = found.find(({ cause }) => cause === 'break')!;
    const { spans } = line.plants.get('L 4')!;
    const really = (8050 - spans[0]!.meters - spans[1]!.meters) / 1.005;
    expect(place).toMatchObject({ from: 'kiln', toward: 'osier', cable: 'N' });
    expect(Math.abs(place!.sheathM - really)).toBeLessThan(2 * place!.sigmaM + 1);
  });

  it('cables of unlike mode fields are said, so that nobody breaks a good splice', () => {
    const look = found.filter(({ cause, weight }) => cause === 'mode field' && weight === 'look');
    expect(look.length).toBeGreaterThan(0);
    expect(look[0]!.message.code).toBe('goodOneWay');
  });
});

describe('a line that is not joined through yet', () => {
  const half = lineOf(6);
  for (const [key, plant] of half.plants)
    half.plants.set(key, { ...plant, joints: [plant.joints[0]!, null, plant.joints[2]!] });
  for (const [id, place] of half.splices)
    if (place.closureId === 'kiln') half.splices.set(id, { ...place, made: false });
  const list = shootAll(half);
  const proved = proveAll(half, list);

  it('calls no fiber broken, and no length wrong', () => {
    const own = causes(half, list);
    expect(own.filter(({ weight }) => weight === 'bad')).toEqual([]);
    expect(own.filter(({ cause }) => cause === 'break')).toMatchObject([
      { message: { code: 'severalNotJoined', fibers: 6, closure: 'kiln' }, weight: 'look' },
    ]);
    expect(proved.proof.fit.corrections).toEqual([]);
    expect(Math.abs(proved.proof.fit.scale - 1)).toBeLessThan(0.004);
  });

  it('has figures of what is joined: ferry from A, osier from B', () => {
    const { splices: seen } = pairTraces(proved.proof, half.circuits, proved.figures);
    const ways = new Set(
      seen.map(({ spliceId, forward }) => `${spliceId.split(' ')[0]} ${forward ? 'AB' : 'BA'}`),
    );
    expect([...ways].sort()).toEqual(['ferry AB', 'osier BA']);
  });
});

describe('ribbons', () => {
  it('high edges point to holder, grooves or stripper', () => {
    const edges = { 'kiln 1': 0.16, 'kiln 12': 0.17 };
    const ribbon = lineOf(12, { loss: edges });
    for (const [id, place] of ribbon.splices)
      ribbon.splices.set(id, { ...place, slot: 1, mass: true, position: Number(id.split(' ')[1]) });
    const own = causes(ribbon, shootAll(ribbon)).filter(({ weight }) => weight === 'bad');
    expect(own.map(({ cause }) => cause)).toEqual(['ribbon edge']);
    expect(own[0]!.message).toMatchObject({ code: 'ribbonEdges', positions: ['1', '12'] });
  });
});

describe('what is wrong with the traces is said', () => {
  const sound = lineOf(6);
  const all = shootAll(sound);
  const with_ = (index: number, change: (one: ReadTrace) => ReadTrace) =>
    all.map((one, at) => (at === index ? change(one) : one));
  const again = (index: number, setting: Parameters<typeof shotOf>[4]) =>
    with_(index, ({ trace }) => {
      const fiber = Number(trace.circuit.split(' ')[1]);
      return readTrace(
        shotOf(sound, fiber, trace.direction, trace.wavelengthNm, setting),
        fiber,
        trace.direction,
        trace.wavelengthNm,
      );
    });
  const problemsOf = (list: readonly ReadTrace[]) => {
    const proved = proveAll(sound, list);
    return [
      ...proved.proof.problems,
      ...missingOf(proved.proof.traces, sound.circuits),
      ...findSwappedFibers(proved.proof, sound.circuits, proved.figures),
    ];
  };

  it('nothing where nothing is', () => {
    expect(problemsOf(all)).toEqual([]);
    expect(causes(sound, all).filter(({ weight }) => weight === 'bad')).toEqual([]);
  });

  it('both directions hold the same samples', () => {
    const copied = with_(2, (one) => ({
      ...one,
      bytes: all[0]!.bytes,
      trace: { ...all[0]!.trace, id: one.trace.id, name: one.trace.name, direction: 'BA' },
    }));
    expect(messages(problemsOf(copied), 'same samples')).toMatchObject([
      { code: 'copyOfOther', label: 'L 1' },
    ]);
  });

  it('a group index that is not its peers’, corrected for its distances', () => {
    const list = again(4, { groupIndex: 150_100 });
    const proved = proveAll(sound, list);
    expect(messages(proved.proof.problems, 'group index')).toMatchObject([
      {
        code: 'groupIndex',
        index: '1.501',
        usual: expect.stringMatching(/^1\.4677/) as string,
        wavelengthNm: 1310,
      },
    ]);
    expect(proved.proof.alignments.get('L 2 AB 1310')).toMatchObject({ early: null, lateM: 0 });
  });

  it('a group index that all have wrong comes out as the scale', () => {
    const problems = problemsOf(shootAll(sound, { groupIndex: 150_100 }));
    expect(messages(problems, 'scale')).toMatchObject([
      {
        code: 'scaleShort',
        percent: expect.stringMatching(/^2\.[23]$/) as string,
        fitting: expect.stringMatching(/^1\.46\d\d$/) as string,
      },
    ]);
  });

  it('unlike wavelengths, and a direction that is missing', () => {
    const list = all.filter(
      ({ trace: { id } }) => !['L 1 AB 1550', 'L 1 BA 1310', 'L 2 BA 1550'].includes(id),
    );
    expect(messages(problemsOf(list), 'wavelengths')).toMatchObject([
      { code: 'otherWavelengths', label: 'L 1', ab: ['1310'], ba: ['1550'] },
    ]);
    expect(messages(problemsOf(list), 'direction missing')).toMatchObject([
      { code: 'directionMissing', label: 'L 2', wavelengthNm: 1550, missing: 'BA' },
    ]);
  });

  it('a range that is too short, a launch fiber left in, noise only', () => {
    expect(messages(problemsOf(again(0, { range: 9000 })), 'no end')).toMatchObject([
      { code: 'rangeTooShort', label: 'L 1' },
    ]);
    expect(messages(problemsOf(again(0, { launch: 502 })), 'launch fiber')).toMatchObject([
      { code: 'launchFiber', length: { tapeM: expect.closeTo(502, -1) as number } },
    ]);
    expect(messages(problemsOf(again(0, { unplugged: true })), 'noise only')).toHaveLength(1);
  });

  /** Files of which those of two fibers, of one direction and wavelength, are named for each other. */
  const mixedUp = (list: readonly ReadTrace[], one: string, two: string, kind: string) => {
    const file = (circuit: string) => list.find(({ trace }) => trace.id === `${circuit} ${kind}`)!;
    const as = ({ bytes, trace }: ReadTrace, circuit: string): ReadTrace => ({
      bytes,
      trace: { ...trace, id: `${circuit} ${kind}`, circuit },
    });
    const [a, b] = [file(one), file(two)];
    return list.map((own) => (own === a ? as(b, one) : own === b ? as(a, two) : own));
  };

  it('two fibers mixed up, where their joints tell them apart', () => {
    const own = lineOf(6, { loss: { 'kiln 2': 0.25, 'osier 3': 0.2 } });
    const list = shootAll(own);
    const proved = proveAll(own, mixedUp(list, 'L 2', 'L 3', 'AB 1550'));
    const [problem] = findSwappedFibers(proved.proof, own.circuits, proved.figures);
    expect(problem!.message).toMatchObject({ code: 'swapped', first: 'L 2', second: 'L 3' });
    const right = proveAll(own, list);
    expect(findSwappedFibers(right.proof, own.circuits, right.figures)).toEqual([]);
  });

  it('whole from one side and broken from the other', () => {
    const broken = lineOf(6, { plant: { 1: { breakAt: 8000 } } });
    const own = readTrace(shotOf(broken, 1, 'AB', 1550), 1, 'AB', 1550);
    const list = all.map((one) => (one.trace.id === own.trace.id ? own : one));
    expect(messages(problemsOf(list), 'end from one side')).toHaveLength(1);
  });
});
