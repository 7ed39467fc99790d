import { jointLoss, oneWayExcess } from '@cordel/core';
import { analyse, findEvents, levelsOf, pairEvents, readSor, writeSor } from '@cordel/core/otdr';
import type { TrueJoint } from './light.ts';
import { type OtdrTask, shootTrace } from './otdr.ts';
import { seeded } from './random.ts';
import { IDEAL, type Receiver } from './receiver.ts';

const task = (part: Partial<OtdrTask> = {}): OtdrTask => ({
  seed: 1,
  cableId: 'A',
  fiberId: '17',
  from: 'Ford pit',
  to: 'Mill',
  wavelengthNm: 1550,
  groupIndex: 146_820,
  length: 27_500,
  attenuation: 0.2,
  joints: [],
  pulseNs: 100,
  spacing: 1,
  samples: 30_000,
  averages: 1,
  noise: 0.01,
  at: 1_777_000_000,
  ...part,
});

/** Eight joints about 3 km apart, the fifth a reflection; steps of 0.05 to 0.2 dB, some gains. */
function madeUp(seed: number): TrueJoint[] {
  const random = seeded(seed * 7919 + 1);
  return Array.from({ length: 8 }, (_, index) => ({
    position: 2000 + index * 3000 + random.uniform() * 800,
    step: (random.uniform() < 0.25 ? -1 : 1) * (0.05 + 0.15 * random.uniform()),
    reflectance: index === 4 ? -45 : null,
  }));
}

const levels = (shot: OtdrTask): Float32Array => {
  const { samples } = shootTrace(shot);
  return levelsOf({
    runs: [{ count: samples.length, scale: 1000 }],
    raw: samples,
    statedCount: samples.length,
  });
};

const read = (shot: OtdrTask) => {
  const file = readSor(writeSor(shootTrace(shot)));
  if (!file.ok) throw new Error(file.error.code);
  return analyse(file.value);
};

describe('joints found from the samples alone', () => {
  it('all of eight in 40 traces, none that is not there, with the end', () => {
    let squares = 0;
    let bounds = 0;
    for (let seed = 1; seed <= 40; seed++) {
      const joints = madeUp(seed);
      const found = findEvents(levels(task({ seed, joints })), 10);
      expect(found.endIndex).toBe(27_500);
      const steps = found.events.filter(({ kind }) => kind !== 'end');
      expect(steps).toHaveLength(8);
      expect(steps[4]!.kind).toBe('reflection');
      let level = 0;
      joints.forEach(({ position, step }, index) => {
        expect(Math.abs(steps[index]!.sampleIndex - position)).toBeLessThan(200);
        // Noise has grown by then: the level fell by fiber and joints. The bound of free slopes on
        // either side: s x sqrt(4/N1 + 4/N2), Cramer and Rao.
        const noise = 0.01 * 10 ** (((0.2 * position) / 1000 + level) / 5);
        const before = position - (joints[index - 1]?.position ?? 60);
        const after = (joints[index + 1]?.position ?? 27_500) - position - 10;
        squares += (steps[index]!.lossDb! - step) ** 2;
        bounds += noise ** 2 * (4 / before + 4 / after);
        level += step;
      });
    }
    expect(Math.sqrt(squares / bounds)).toBeLessThan(1.15);
  });

  it('none on a fiber without, and none in noise alone', () => {
    for (let seed = 1; seed <= 20; seed++)
      expect(findEvents(levels(task({ seed })), 10).events.map(({ kind }) => kind)).toEqual([
        'end',
      ]);
    const dark = new Float32Array(5000).map(() => -30);
    const random = seeded(9);
    const noise = dark.map(() => -30 + 8 * random.normal());
    expect(findEvents(noise, 10).events.filter(({ kind }) => kind === 'splice')).toEqual([]);
  });

  it('the stated noise is the noise: it grows with distance and falls with averages', () => {
    // At the start, to a tenth: it is taken over the first kilometer.
    const noise = (averages: number) => findEvents(levels(task({ averages })), 10).noiseDb;
    expect(noise(1) / 0.01).toBeGreaterThan(0.95);
    expect(noise(1) / 0.01).toBeLessThan(1.1);
    expect(noise(1) / noise(4)).toBeCloseTo(2, 1);
  });
});

describe('a fiber shot from both ends', () => {
  it('the mean of both directions is the true loss; half their difference that of the mode fields', () => {
    // 9.2 onto 8.6 um: 0.0197 dB by Marcuse, +-0.2929 dB one way; the gainer is no gain.
    const loss = jointLoss({ mfdA: 9.2, mfdB: 8.6 });
    const excess = oneWayExcess(9.2, 8.6);
    const at = 9000;
    const shot = task({ length: 20_000, samples: 24_000, noise: 0.004 });
    const a = read({ ...shot, joints: [{ position: at, step: loss + excess, reflectance: null }] });
    const b = read({
      ...shot,
      seed: 2,
      joints: [{ position: 20_000 - at, step: loss - excess, reflectance: null }],
    });
    const [pair, ...more] = pairEvents(a.events, b.events, a.endM!);
    expect(more).toEqual([]);
    expect(pair!.positionM).toBeCloseTo(at, -1);
    expect(pair!.meanDb).toBeCloseTo(0.0197, 3);
    expect((pair!.backwardDb! - pair!.forwardDb!) / 2).toBeCloseTo(0.2929, 3);
    expect(Math.abs(pair!.meanDb! - loss)).toBeLessThan(4 * pair!.sigmaDb!);
  });

  it('a joint that one direction does not show is kept, with what is missing', () => {
    const shot = task({ length: 20_000, samples: 24_000 });
    const a = read({ ...shot, joints: [{ position: 9000, step: 0.1, reflectance: null }] });
    const b = read({ ...shot, seed: 2 });
    expect(pairEvents(a.events, b.events, a.endM!)).toEqual([
      expect.objectContaining({
        backwardDb: null,
        meanDb: null,
        forwardDb: expect.closeTo(0.1, 2),
      }),
    ]);
    expect(pairEvents(b.events, a.events, a.endM!)[0]).toMatchObject({ forwardDb: null });
  });
});

describe('events that are called by what they are', () => {
  const kindsOf = (part: Partial<OtdrTask>) => read(task({ noise: 0.003, ...part })).events;

  // 10 log10 of the ways is the ideal; a branch is shot towards the trunk (ITU-T G.671, from memory).
  it.each([2, 4, 8, 16])('a splitter into %d, from the far end of a branch', (ways) => {
    const step = 10 * Math.log10(ways) + 0.4;
    const events = kindsOf({
      length: 14_000,
      samples: 18_000,
      joints: [
        { position: 4000, step: 0.1, reflectance: null },
        { position: 8000, step, reflectance: null },
      ],
    });
    expect(events.map(({ kind }) => kind)).toEqual(['splice', 'splitter', 'end']);
    expect(Math.abs(events[1]!.lossDb! - step)).toBeLessThan(0.15);
  });

  it('a peak as high as the receiver shows is said to be cut off; one below is not', () => {
    const joints = [
      { position: 4000, step: 0.3, reflectance: -20 },
      { position: 8000, step: 0.3, reflectance: -50 },
    ];
    const receiver = { ...IDEAL, saturationDb: 8 };
    const [high, low] = kindsOf({ length: 14_000, samples: 18_000, joints, receiver });
    expect(high).toMatchObject({ kind: 'reflection', isSaturated: true });
    expect(low).toMatchObject({ kind: 'reflection', isSaturated: false });
  });

  it('an echo of a strong connector is no joint', () => {
    const joints = [
      { position: 3000, step: 0.3, reflectance: -40 },
      { position: 6000, step: 0, reflectance: -62 },
    ];
    const events = kindsOf({ length: 14_000, samples: 18_000, joints });
    expect(events.map(({ kind }) => kind)).toEqual(['reflection', 'echo', 'end']);
  });

  it('says how its samples hang together and in what steps they are stored', () => {
    const shot = task({ length: 14_000, samples: 18_000, noise: 0.004 });
    const own = (receiver: Receiver) => read({ ...shot, receiver });
    expect(own(IDEAL)).toMatchObject({ sharedSamples: 1, storedStepDb: expect.closeTo(0.001, 4) });
    expect(own({ ...IDEAL, storedStepDb: 0.01 }).storedStepDb).toBeCloseTo(0.01, 4);
    const slow = own({ ...IDEAL, correlation: 0.8 }).sharedSamples;
    // (1 + r) / (1 - r) is 9: Box and Jenkins, from memory.
    expect(slow).toBeGreaterThan(6);
    expect(slow).toBeLessThan(14);
  });
});

describe('a step between fibers of different attenuation', () => {
  const attenuation = 0.2;
  const behind = 0.26;
  const joints = [{ position: 9000, step: 0.1, reflectance: null, attenuation: behind }];
  // 2 us are 204 m, and show each place of the fiber 102 m later in the mean.
  const shot = task({
    length: 18_000,
    samples: 20_000,
    attenuation,
    joints,
    pulseNs: 2000,
    noise: 0.002,
  });

  it('is as large as it is, not by what lies within a pulse of it', () => {
    const [found] = read(shot).events.filter(({ kind }) => kind === 'splice');
    // Read where the pulse comes to the joint it would be 0.006 dB off: 102 m of what attenuations differ by.
    expect(Math.abs(found!.lossDb! - 0.1)).toBeLessThan(0.002);
    expect(Math.abs(found!.lossDb! - 0.1)).toBeLessThan(4 * found!.sigmaDb!);
  });

  it('bends the trace there, as light that is counted twice would', () => {
    const list = levels(shot);
    const fall = (from: number, to: number) => (list[from]! - list[to]!) / ((to - from) / 1000);
    expect(fall(1000, 8800)).toBeCloseTo(attenuation, 2);
    expect(fall(9400, 17_400)).toBeCloseTo(behind, 2);
  });
});

describe('a splitter behind which next to nothing is left', () => {
  it('is no end of the fiber while a little light may go on, and nothing behind it is made out', () => {
    const splitter = { position: 17_400, step: 14.3, reflectance: null };
    const told = Array.from({ length: 12 }, (_, index) => {
      const noise = 0.0012 + 0.0002 * (index % 4);
      const shot = { length: 22_000, samples: 24_500, joints: [splitter], endReflectance: null };
      return read(task({ ...shot, seed: 300 + index, noise }));
    });
    for (const { endM, fadedM, events } of told) {
      // A single sample is a third of its noise there: the fiber is lost in it, and goes on.
      expect(endM === null || Math.abs(endM - 22_000) < 30).toBe(true);
      expect(Math.abs(fadedM! - 17_400)).toBeLessThan(100);
      expect(events.filter(({ positionM }) => positionM > 17_600 && positionM < 21_900)).toEqual(
        [],
      );
    }
  });
});
