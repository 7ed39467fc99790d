import fc from 'fast-check';
import { GAUGE_UNITS } from '../record/units.ts';
import { formatGauge, gaugeFigure, likelyUnit, parseGauge } from './pressure.ts';

describe('gauge pressures', () => {
  // Source: NIST SP 811, appendix B.9 (from memory).
  it.each([
    ['1 psi', 6895],
    ['5 psi', 34_474],
    ['4psig', 27_579],
    ['34.5 kPa', 34_500],
    ['345 mbar', 34_500],
    ['345 hPa', 34_500],
    ['10 inH2O', 2491],
    ['0', 0],
    ['−0.2', -200],
    ['4,5', 4500],
  ])('reads %s as %i Pa', (text, value) => {
    expect(parseGauge(text, 'kPa')).toEqual({ ok: true, value });
  });

  it.each(['', 'five', '5 bar', '5 psi 3', '1.2.3'])('refuses “%s”', (text) =>
    expect(parseGauge(text, 'psi')).toEqual({ ok: false, error: { code: 'typeGauge' } }),
  );

  it('prints a limit never above itself', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 70_000 }),
        fc.constantFrom(...GAUGE_UNITS),
        (pa, unit) => {
          const back = parseGauge(gaugeFigure(pa, unit, 'down'), unit);
          return back.ok && back.value <= pa && back.value > pa - 80;
        },
      ),
    );
  });

  it('prints 5 psi as 5.00 psi, though pascals are whole', () => {
    expect(formatGauge(34_474, 'psi', 'down')).toBe('5.00 psi');
    expect(formatGauge(34_500, 'psi', 'down')).toBe('5.00 psi');
    expect(formatGauge(-150, 'kPa')).toBe('−0.15 kPa');
  });

  it('knows a gauge of another unit by a figure that is far off', () => {
    // 5 on the gauge where 34.5 kPa are expected: psi.
    expect(likelyUnit(5000, 'kPa', 34_500)).toBe('psi');
    expect(likelyUnit(340, 'kPa', 34_500)).toBeNull();
    // 34.4 “psi” are 237 kPa.
    expect(likelyUnit(237_000, 'psi', 34_500)).toBe('kPa');
    expect(likelyUnit(345_000, 'kPa', 34_500)).toBe('mbar');
    // Half of what was let in is a leak, not a unit.
    expect(likelyUnit(17_000, 'kPa', 34_500)).toBeNull();
  });
});
