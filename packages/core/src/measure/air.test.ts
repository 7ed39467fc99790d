import {
  altitudeOf,
  formatAir,
  formatBarometer,
  parseBarometerChange,
  parsePressure,
  pressureAt,
  spellBarometerChange,
} from './air.ts';
import { METRIC, US_CUSTOMARY } from '../record/units.ts';

describe('air pressure at an altitude', () => {
  // ICAO standard atmosphere, Doc 7488, from memory: 101.325, 89.875, 79.495, 70.109 kPa.
  it.each([
    [0, 101.325],
    [1000, 89.875],
    [2000, 79.495],
    [3000, 70.109],
  ])('%i m: %f kPa', (altitude, kpa) => expect(pressureAt(altitude)).toBeCloseTo(kpa, 1));

  it('is read in every unit that is met', () => {
    expect(parsePressure('985 hPa')).toEqual({ ok: true, value: 98.5 });
    expect(parsePressure('985 mbar')).toEqual({ ok: true, value: 98.5 });
    expect(parsePressure('29.92 inHg')).toEqual({ ok: true, value: 101.321 });
    expect(parsePressure('1000 m')).toEqual({ ok: true, value: 89.875 });
    // 3 280.84 ft are 1 000 m.
    expect(parsePressure('3280.84 ft')).toEqual({ ok: true, value: 89.875 });
  });

  it('refuses what is no air, and says what would be right', () => {
    expect(parsePressure('985')).toMatchObject({ ok: false });
    expect(parsePressure('12000 m')).toMatchObject({ error: { code: 'noSuchRoad' } });
    expect(parsePressure('thin')).toMatchObject({ error: { code: 'typeAir' } });
  });
});

describe('air in the units of a project', () => {
  // US standard atmosphere at sea level: 29.92 inHg.
  it('is shown as barometers there show it', () => {
    expect(formatBarometer(101.325, US_CUSTOMARY)).toBe('29.92 inHg');
    expect(formatBarometer(98.5, METRIC)).toBe('98.5 kPa');
    expect(formatBarometer(98.5, { pressure: 'mbar' })).toBe('985 mbar');
  });

  it('shows an altitude as it was typed', () => {
    for (const feet of [0, 450, 1480, 5280, 11_990]) {
      const read = parsePressure(`${feet} ft`);
      expect(formatAir(read.ok ? read.value : 0, US_CUSTOMARY)).toContain(`about ${feet} ft`);
    }
    for (const meters of [0, 7, 451, 3_333]) {
      const read = parsePressure(`${meters} m`);
      expect(formatAir(read.ok ? read.value : 0, METRIC)).toContain(`about ${meters} m`);
    }
    expect(altitudeOf(pressureAt(1234.5))).toBeCloseTo(1234.5, 6);
  });

  it('means the project’s barometer where no unit is typed', () => {
    expect(parsePressure('29.92', 'psi')).toEqual({ ok: true, value: 101.321 });
    expect(parsePressure('98.5', 'kPa')).toEqual({ ok: true, value: 98.5 });
    expect(parsePressure('985', 'mbar')).toEqual({ ok: true, value: 98.5 });
  });

  it('reads a change as it spelled it', () => {
    for (const gauge of ['psi', 'kPa', 'mbar', 'inH2O'] as const)
      for (const kpa of [0.5, 5, 7.125, 50])
        expect(parseBarometerChange(spellBarometerChange(kpa, gauge), 'kPa')).toEqual({
          ok: true,
          value: kpa,
        });
  });
});
