import fc from 'fast-check';
import { formatDiameter, formatLength, parseLength, spellLength } from './length.ts';

// The inch is 25.4 mm exactly: international yard and pound agreement, 1959.
test.each([
  ['5 1/4 in', 1334],
  ['133mm', 1330],
  ['64 in', 16_256],
  ['5\' 3"', 16_002],
  ['2 m', 20_000],
  ['1,5 m', 15_000],
  ['5’ 3”', 16_002],
  ['5-1/4 in', 1334],
  ['5¼″', 1334],
])('%s', (text, tenths) => {
  expect(parseLength(text, 'mm')).toEqual({ ok: true, value: tenths });
});

test.each([
  ['-3 mm', { code: 'negativeLength' }],
  ['3 in 5 mm', { code: 'mixedUnits' }],
  ['900 m', { code: 'tooLong', most: { lengthTenthsMm: 1_000_000, towards: 'down' } }],
  ['long', { code: 'noLength', text: 'long', unit: 'mm' }],
  ['', { code: 'typeLength', unit: 'mm' }],
])('%s is refused', (text, error) =>
  expect(parseLength(text, 'mm')).toMatchObject({ ok: false, error }),
);

test('the tape never shows less than is needed', () => {
  expect(formatLength(1331, 'mm')).toBe('134 mm');
  expect(formatLength(1331, 'mm', 'down')).toBe('133 mm');
  expect(formatLength(16_256, 'in')).toBe('64 in');
  expect(formatLength(16_260, 'in')).toBe('64 1/8 in');
  expect(formatLength(381, 'in')).toBe('1 1/2 in');
  expect(formatLength(0, 'in')).toBe('0 in');
});

test('eighths of an inch print as they were typed', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 2000 }), (eighths) => {
      const typed = `${Math.floor(eighths / 8)} ${eighths % 8}/8 in`;
      const read = parseLength(typed, 'mm');
      const tenths = read.ok ? read.value : Number.NaN;
      const whole = Math.floor(eighths / 8);
      for (const towards of ['up', 'down', 'near'] as const) {
        const printed = parseLength(formatLength(tenths, 'in', towards), 'in');
        expect(printed).toEqual({ ok: true, value: tenths });
      }
      expect(formatLength(tenths, 'in').startsWith(whole === 0 ? '' : String(whole))).toBe(true);
    }),
  );
});

describe('a length in a form', () => {
  it('stays in its unit: inches that are no eighths are shown with decimals', () => {
    const typed = (text: string) => {
      const read = parseLength(text, 'in');
      return read.ok ? spellLength(read.value, 'in') : 'not read';
    };
    expect(typed('0.44 in')).toBe('0.44 in');
    expect(typed('5 1/4 in')).toBe('5 1/4 in');
    expect(typed('13.5 mm')).toBe('0.53 in');
    for (let tenths = 0; tenths < 3000; tenths++)
      expect(parseLength(spellLength(tenths, 'in'), 'in')).toEqual({ ok: true, value: tenths });
  });

  it('a diameter has decimals, so that what does not fit is seen not to fit', () => {
    expect([201, 191, 95].map((tenths) => formatDiameter(tenths, 'in'))).toEqual([
      '0.79 in',
      '0.75 in',
      '0.374 in',
    ]);
    expect(formatDiameter(135, 'mm')).toBe('13.5 mm');
  });
});
