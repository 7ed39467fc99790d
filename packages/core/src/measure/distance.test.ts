import fc from 'fast-check';
import { formatDistance, parseDistance, spellDistance } from './distance.ts';

describe('a typed distance', () => {
  it.each([
    ['12.4', 'km', 124_000_000],
    ['12.4 km', 'mi', 124_000_000],
    ['133mm', 'm', 1330],
    ['1 mi', 'km', 16_093_440],
    ['5280 ft', 'km', 16_093_440],
    ['5 1/4 in', 'm', 1334],
    ['1/2', 'ft', 1524],
    ['5\' 3 1/2"', 'm', 16_129],
    ['3 ft 6 in', 'm', 10_668],
    ['64 in', 'm', 16_256],
    ['0', 'km', 0],
    ['4,200', 'ft', 12_801_600],
    ['4 200', 'ft', 12_801_600],
    ['4 200 ft', 'km', 12_801_600],
    ['4 200 m', 'km', 42_000_000],
    ['12,4', 'km', 124_000_000],
    ['1.25 mi', 'ft', 20_116_800],
    ['5′ 3″', 'm', 16_002],
    ['5’ 3 ½”', 'm', 16_129],
    ["5' 3", 'm', 16_002],
    ['3 feet 6 inches', 'm', 10_668],
    ['12 km 400 m', 'ft', 124_000_000],
  ] as const)('%p in %s is %i tenths of a millimeter', (text, unit, tenths) => {
    // The foot is 0.3048 m and the mile 1609.344 m exactly: international yard and pound, 1959.
    expect(parseDistance(text, unit)).toEqual({ ok: true, value: tenths });
  });

  it.each([
    ['', { code: 'typeDistance', unit: 'km' }],
    ['4 20 ft', { code: 'noDistance', text: '4 20 ft' }],
    ['5 ft 3 ft', { code: 'noDistance' }],
    ['3 4 in', { code: 'noDistance' }],
    ['4,200 m', { code: 'twoNumbers', whole: '4200', decimal: '4.200' }],
    ['-3 km', { code: 'negativeDistance' }],
    ['far', { code: 'noDistance', text: 'far' }],
    ['3 leagues', { code: 'noDistance' }],
    ['1/0 in', { code: 'overZero' }],
  ])('%p is refused: %j', (text, error) =>
    expect(parseDistance(text, 'km')).toMatchObject({ ok: false, error }),
  );

  it('is shown as typed where a few decimals do, else rounded', () => {
    const shown = (text: string, unit: 'km' | 'mi' | 'm' | 'ft') => {
      const read = parseDistance(text, unit);
      return read.ok ? formatDistance(read.value, unit) : '';
    };
    expect(shown('1.25', 'mi')).toBe('1.25 mi');
    expect(shown('12.345', 'km')).toBe('12.345 km');
    expect(shown('3', 'km')).toBe('3.0 km');
    expect(shown('4200', 'ft')).toBe('4,200 ft');
    expect(formatDistance(123_456_789, 'km')).toBe('12.3 km');
  });

  it('is spelled so that nothing is lost', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1_000_000_000 }),
        fc.constantFrom('km' as const, 'm' as const),
        (tenths, unit) => {
          expect(parseDistance(spellDistance(tenths, unit), unit)).toEqual({
            ok: true,
            value: tenths,
          });
        },
      ),
    );
  });

  it('is printed in the project’s unit', () => {
    expect(formatDistance(124_000_000, 'km')).toBe('12.4 km');
    expect(formatDistance(16_093_440, 'mi')).toBe('1.0 mi');
    expect(formatDistance(16_093_440, 'ft')).toBe('5,280 ft');
    expect(formatDistance(10_000, 'm')).toBe('1 m');
  });
});
