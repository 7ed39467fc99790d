import fc from 'fast-check';
import {
  formatTemperature,
  formatTemperatureChange,
  fromFahrenheit,
  parseTemperature,
  parseTemperatureChange,
  spellTemperatureChange,
} from './temperature.ts';

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
    expect(parseTemperature('70')).toMatchObject({
      error: { code: 'meantFahrenheit', figure: 70 },
    });
    expect(parseTemperature('-80 C')).toMatchObject({ ok: false });
  });
});

describe('temperature in the units of a project', () => {
  it('is shown as it was typed, to a tenth', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -400, max: 590 }),
        fc.constantFrom('C', 'F'),
        (tenths, unit) => {
          const text = `${tenths / 10} ${unit}`;
          const read = parseTemperature(text);
          expect(formatTemperature(read.ok ? read.value : NaN, unit)).toBe(text);
        },
      ),
    ));

  it('means the project’s unit where none is typed', () => {
    expect(parseTemperature('70', 'F')).toEqual({ ok: true, value: 21.11 });
    expect(parseTemperature('21', 'C')).toEqual({ ok: true, value: 21 });
  });

  // A degree F is 5/9 of a degree C.
  it('tells a change from a temperature', () => {
    expect(formatTemperatureChange(10, 'F')).toBe('18 F');
    expect(parseTemperatureChange('18', 'F')).toEqual({ ok: true, value: 10 });
    expect(parseTemperatureChange('10 C', 'F')).toEqual({ ok: true, value: 10 });
    expect(parseTemperatureChange(spellTemperatureChange(7, 'F'), 'C')).toEqual({
      ok: true,
      value: 7,
    });
  });
});
