import { reflection, splice } from '../align/line.testing.ts';
import { type InstrumentEvent, compareTables } from './compareTables.ts';

const PULSE_M = 10;
const own = (positionM: number, lossDb: number, isEnd = false): InstrumentEvent => ({
  positionM,
  lossDb,
  reflectanceDb: null,
  isEnd,
  code: isEnd ? '1E9999' : '0F9999',
});
const end = { ...reflection(9000), kind: 'end' as const, lossDb: null, sigmaDb: null };

describe('what was found beside the instrument’s own table', () => {
  it('the largest difference first, whichever of them has it', () => {
    const rows = compareTables(
      [splice(1000, 0.05), splice(3000, 0.12), splice(5000, 0.2), end],
      [own(1004, 0.051), own(3010, 0.3), own(7000, 0.4), own(9002, 0, true)],
      null,
      PULSE_M,
    );
    expect(rows.map(({ kind, byDb }) => [kind, Number(byDb.toFixed(3))])).toEqual([
      ['onlyInstrument', 0.4],
      ['onlyFound', 0.2],
      ['loss', 0.18],
      ['same', 0.001],
      ['same', 0],
    ]);
  });

  it('nearest places belong together, and places far apart are said', () => {
    const [row, ...more] = compareTables(
      [splice(1000, 0.05), splice(1030, 0.07)],
      [own(1031, 0.07), own(1002, 0.05)],
      null,
      PULSE_M,
    ).sort((a, b) => a.positionM - b.positionM);
    expect(row!.instrument!.positionM).toBe(1002);
    expect(more[0]!.instrument!.positionM).toBe(1031);
    expect(compareTables([splice(1000, 0.05)], [own(1035, 0.05)], null, PULSE_M)).toMatchObject([
      { kind: 'place', apartM: 35 },
    ]);
  });

  it('a difference within what both show is none', () => {
    // Instruments show hundredths of a dB.
    expect(compareTables([splice(1000, 0.054)], [own(1000, 0.06)], null, 10)[0]!.kind).toBe('same');
    expect(compareTables([splice(1000, 0.03)], [own(1000, 0.06)], null, 10)[0]!.kind).toBe('loss');
  });

  it('where noise hides all, the instrument’s word is all there is', () => {
    const rows = compareTables([], [own(4000, 0.1), own(8000, 0.2)], 6000, PULSE_M);
    expect(rows.map(({ kind }) => kind)).toEqual(['untold', 'onlyInstrument']);
  });
});
