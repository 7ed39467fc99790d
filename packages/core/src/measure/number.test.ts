import fc from 'fast-check';
import { type NumberStyle, readNumber } from './number.ts';

const value = (text: string, style: NumberStyle) => {
  const read = readNumber(text, style);
  return read.ok ? read.value : read.error.code;
};

describe('a number as people write it', () => {
  it.each<[string, NumberStyle, number]>([
    ['4200', 'either', 4200],
    ['4 200', 'either', 4200],
    ['4\u00a0200', 'either', 4200],
    ['4\u202f200,5', 'either', 4200.5],
    ["4'200", 'either', 4200],
    ['4,200', 'point', 4200],
    ['4.200', 'comma', 4200],
    ['4.200', 'point', 4.2],
    ['4,200', 'comma', 4.2],
    ['4.200', 'either', 4.2],
    ['1,234,567', 'either', 1234567],
    ['1.234.567', 'either', 1234567],
    ['1,234.5', 'either', 1234.5],
    ['1.234,5', 'either', 1234.5],
    ['0,06', 'either', 0.06],
    ['12,5', 'either', 12.5],
    ['0,015', 'either', 0.015],
    ['1,234', 'small', 1.234],
    ['.5', 'either', 0.5],
    [',5', 'either', 0.5],
    ['5.', 'either', 5],
    ['-0.1', 'either', -0.1],
    ['\u22120,1', 'either', -0.1],
    ['+3', 'either', 3],
  ])('%s, %s, is %d', (text, style, expected) => expect(value(text, style)).toBe(expected));

  it('asks where it can be two things and nothing tells', () => {
    expect(readNumber('4,200', 'either')).toEqual({
      ok: false,
      error: { code: 'twoNumbers', text: '4,200', whole: '4200', decimal: '4.200' },
    });
  });

  it.each(['', '4 20', '4 2000', '1,23,456', 'ten', '4,200.', '1.2.3', '4;2', '- -3', '1 234 5'])(
    '%p is refused, never guessed',
    (text) => {
      const read = readNumber(text, 'either');
      expect(read.ok && text !== '4,200.').toBe(false);
    },
  );

  it('reads back what a general library prints for a country', () => {
    // Intl.NumberFormat, by the Unicode CLDR: en parts by commas, de by points, fr by narrow blanks.
    const styles = { en: 'point', de: 'comma', fr: 'comma' } as const;
    fc.assert(
      fc.property(
        fc.constantFrom('en', 'de', 'fr'),
        fc.integer({ min: 0, max: 99_999_999 }),
        (locale, hundredths) => {
          const number = hundredths / 100;
          const text = new Intl.NumberFormat(locale, { minimumFractionDigits: 2 }).format(number);
          expect(value(text, styles[locale as 'en'])).toBeCloseTo(number, 9);
        },
      ),
    );
  });

  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom<NumberStyle>('point', 'comma', 'small', 'either'),
        (text, style) => {
          const read = readNumber(text, style);
          expect(read.ok ? Number.isFinite(read.value) : read.error.code.length > 0).toBe(true);
        },
      ),
    );
  });
});
