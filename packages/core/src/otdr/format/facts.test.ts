import { instrumentEvents } from '../measure/compareTables.ts';
import { factsOf } from './facts.ts';
import { readSor } from './readSor.ts';
import { smallTrace } from './traces.testing.ts';
import { samplesOf } from './samples.ts';
import { writeSor } from './writeSor.ts';

const open = (change: (trace: ReturnType<typeof smallTrace>) => void = () => undefined) => {
  const trace = smallTrace();
  change(trace);
  const file = readSor(writeSor(trace));
  if (!file.ok) throw new Error(file.error.code);
  return file.value;
};

describe('what a file says of itself', () => {
  it('who, where, what fiber, and how it was shot', () => {
    expect(factsOf(open())).toMatchObject({
      cableId: 'A',
      fiberId: '17',
      wavelengthNm: 1550,
      from: 'Ford pit',
      to: 'Mill',
      measuredAtS: 1_777_000_000,
      pulseNs: 100,
      averages: 4096,
      groupIndex: 146_820,
      samples: 64,
      events: 1,
      warnings: [],
    });
  });

  it('two wavelengths in one file are a warning; a few nm are the laser’s own', () => {
    expect(factsOf(open(({ fixed }) => (fixed.wavelength = 13_100))).warnings).toEqual([
      { code: 'twoWavelengths', generalNm: 1550, fixedNm: 1310 },
    ]);
    expect(factsOf(open(({ fixed }) => (fixed.wavelength = 15_563))).warnings).toEqual([]);
  });

  // c = 299 792 458 m/s (SI): one way, 10 ns at n = 1.4682 are 2.0419 m.
  it('places by the speed of light and the group index', () => {
    const file = open(({ keyEvents }) => (keyEvents.events[0]!.time100ps = 100));
    expect(instrumentEvents(file)[0]!.positionM).toBeCloseTo(2.0419, 4);
    expect(samplesOf(file).spacing).toBeCloseTo((2_500_000 * 1e-14 * 299_792_458) / 1.4682, 9);
  });

  it('the instrument’s own table in dB, gains below zero', () => {
    expect(instrumentEvents(open())[0]).toMatchObject({
      lossDb: -0.043,
      reflectanceDb: -45,
      code: '1F9999',
    });
  });
});
