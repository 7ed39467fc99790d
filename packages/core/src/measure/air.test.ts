import { fromFahrenheit, parsePressure, parseTemperature, pressureAt } from './air.ts';

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
    expect(parsePressure('29.92 inHg')).toEqual({ ok: true, value: 101.32 });
    expect(parsePressure('1000 m')).toEqual({ ok: true, value: 89.87 });
    // 3 280.84 ft are 1 000 m.
    expect(parsePressure('3280.84 ft')).toEqual({ ok: true, value: 89.87 });
  });

  it('refuses what is no air, and says what would be right', () => {
    expect(parsePressure('985')).toMatchObject({ ok: false });
    expect(parsePressure('12000 m')).toMatchObject({ error: expect.stringContaining('altitude') });
    expect(parsePressure('thin')).toMatchObject({ error: expect.stringContaining('98.5 kPa') });
  });
});

describe('temperature', () => {
  // By definition: 32 F is 0 C, 212 F is 100 C, 0 C is 273.15 K.
  it('turns Fahrenheit and kelvin into Celsius', () => {
    expect(fromFahrenheit(32)).toBe(0);
    expect(fromFahrenheit(212)).toBe(100);
    expect(parseTemperature('68 F')).toEqual({ ok: true, value: 20 });
    expect(parseTemperature('273.15 K')).toEqual({ ok: true, value: 0 });
    expect(parseTemperature('-5')).toEqual({ ok: true, value: -5 });
  });

  it('asks where the unit was likely another', () => {
    expect(parseTemperature('70')).toMatchObject({ error: expect.stringContaining('70 F') });
    expect(parseTemperature('-80 C')).toMatchObject({ ok: false });
  });
});
