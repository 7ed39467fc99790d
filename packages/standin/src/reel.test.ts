import { type ReelLimits, analyse, judgeReel, reelShot, samplesOf } from '@cordel/core/otdr';
import { readSor, writeSor } from '@cordel/core/otdr';
import { type OtdrShot, type TruePlant, shootPlant } from './plant.ts';

const SHOT: OtdrShot = {
  seed: 5,
  direction: 'AB',
  wavelengthNm: 1550,
  pulseNs: 100,
  averages: 16_384,
  spacing: 0.5,
  range: 8000,
  cableId: 'N',
  fiberId: '1',
  from: 'reel',
  to: 'reel',
  at: 1_767_000_000,
};

/** Shoots a fiber of a reel, and reads the file that comes of it. */
function shotOf(plant: TruePlant, part: Partial<OtdrShot> = {}) {
  const read = readSor(writeSor(shootPlant(plant, { ...SHOT, ...part })));
  if (!read.ok) throw new Error(read.error.code);
  const samples = samplesOf(read.value);
  return reelShot(samples, analyse(read.value, samples));
}

const reel = (more: Partial<TruePlant> = {}): TruePlant => ({
  spans: [{ meters: 4020, mfd: 9.2 }],
  joints: [],
  ...more,
});
const limits = (part: Partial<ReelLimits> = {}): ReelLimits => ({
  wavelengthNm: 1550,
  sheathM: 4000,
  helix: 1.005,
  // ITU-T G.652.D, 1530 to 1565 nm, from memory.
  mostDbPerKm: 0.3,
  ...part,
});
const codes = (...args: Parameters<typeof judgeReel>) =>
  judgeReel(...args).problems.map(({ code }) => code);

describe('a fiber on its reel', () => {
  // What the simulated fiber is made of: 0.34 and 0.20 dB/km.
  it.each([
    [1310, 0.34],
    [1550, 0.2],
  ])('is measured at %i nm for what it is', (wavelengthNm, dbPerKm) => {
    const { lengthM, attenuation, steps } = shotOf(reel(), { wavelengthNm });
    expect(Math.abs(lengthM! - 4020)).toBeLessThan(12);
    expect(Math.abs(attenuation!.lossDb - dbPerKm)).toBeLessThan(
      Math.max(0.002, 4 * attenuation!.sigmaDb),
    );
    expect(steps).toEqual([]);
  });

  it('is accepted where length, attenuation and evenness are right', () =>
    expect(judgeReel(shotOf(reel()), limits())).toEqual({ verdict: 'accepted', problems: [] }));

  it('is seen behind a launch fiber', () => {
    const shot = shotOf(reel(), { launch: 502 });
    expect(Math.abs(shot.lengthM! - 4020)).toBeLessThan(12);
    expect(judgeReel(shot, limits()).verdict).toBe('accepted');
  });

  it('is rejected for a step, which is told where it lies', () => {
    const shot = shotOf(reel({ extras: [{ at: 1500, loss: 0.02, bend: 0.15 }] }));
    const { verdict, problems } = judgeReel(shot, limits());
    expect(verdict).toBe('rejected');
    expect(problems).toMatchObject([{ code: 'reelStep' }]);
    const places = problems.flatMap((one) => (one.code === 'reelStep' ? [one.at.placeM] : []));
    expect(Math.abs(places[0]! - 1500)).toBeLessThan(15);
  });

  it('is rejected where it loses more than it may', () => {
    const { verdict, problems } = judgeReel(shotOf(reel()), limits({ mostDbPerKm: 0.19 }));
    expect([verdict, problems.map(({ code }) => code)]).toEqual([
      'rejected',
      ['reelAttenuationOver'],
    ]);
  });

  it('is to be checked where the sheath says another length', () => {
    expect(codes(shotOf(reel()), limits({ sheathM: 4200 }))).toEqual(['reelShort']);
    expect(codes(shotOf(reel()), limits({ sheathM: 3800 }))).toEqual(['reelLong']);
    expect(codes(shotOf(reel()), limits({ sheathM: null }))).toEqual([]);
  });

  it('is to be checked where its end is not seen', () => {
    const shot = shotOf(reel(), { range: 3000 });
    expect(judgeReel(shot, limits())).toMatchObject({
      verdict: 'check',
      problems: [{ code: 'reelEndNotSeen' }, { code: 'reelAttenuationUnknown' }],
    });
  });
});
