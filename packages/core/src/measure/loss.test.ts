import fc from 'fast-check';
import { formatHalf, formatLoss, formatMean, parseKeypad, parseLoss } from './loss.ts';

describe('a typed loss', () => {
  it.each([
    ['0.02', 20],
    ['.015', 15],
    ['0.1 dB', 100],
    ['-0.25', -250],
    ['−0.25', -250],
    ['0', 0],
    [' 1. ', 1000],
    ['0.020', 20],
    ['0,02', 20],
    ['1,234', 1234],
  ])('%p is %i thousandths', (text, mdb) =>
    expect(parseLoss(text, 10_000)).toEqual({ ok: true, value: mdb }),
  );

  it.each([
    ['', { code: 'typeLoss' }],
    ['abc', { code: 'noLoss', text: 'abc' }],
    [
      '15',
      {
        code: 'noSpliceMeant',
        loss: { lossMdb: 15_000 },
        most: { lossMdb: 5000 },
        meant: { lossMdb: 150 },
      },
    ],
    ['0.0155', { code: 'tooManyDecimals' }],
    ['1e3', { code: 'noLoss' }],
    ['0x10', { code: 'noLoss' }],
    ['NaN', { code: 'noLoss' }],
    ['0.02.1', { code: 'noLoss' }],
  ])('%p is refused: %j', (text, error) =>
    expect(parseLoss(text, 5000)).toMatchObject({ ok: false, error }),
  );

  it('reads back what it prints, exactly', () => {
    fc.assert(
      fc.property(fc.integer({ min: -10_000, max: 10_000 }), (mdb) => {
        expect(parseLoss(formatLoss(mdb), 10_000)).toEqual({ ok: true, value: mdb });
      }),
    );
  });
});

describe('the keypad', () => {
  it.each([
    ['2', 20],
    ['12', 120],
    ['150', 1500],
    ['0', 0],
    ['.015', 15],
    ['0.5', 500],
    ['-5', -50],
    ['-.012', -12],
  ])('%p is %i thousandths', (keys, mdb) =>
    expect(parseKeypad(keys, 5000)).toEqual({ ok: true, value: mdb }),
  );

  it('says the range rather than keep a slip', () => {
    expect(parseKeypad('1500', 5000).ok).toBe(false);
    expect(parseKeypad('', 5000).ok).toBe(false);
    expect(parseKeypad('-', 5000).ok).toBe(false);
    expect(parseKeypad('.', 5000).ok).toBe(false);
  });
});

describe('a printed loss', () => {
  it.each([
    [40, '0.02'],
    [30, '0.015'],
    [25, '0.0125'],
    [0, '0.00'],
    [-300, '−0.15'],
    [2001, '1.0005'],
  ])('%i half-thousandths are %s', (half, text) => expect(formatHalf(half)).toBe(text));

  it('never rounds a mean over its limit down onto it', () => {
    // 0.1001 dB over a limit of 0.100 must not read as 0.10.
    expect(formatMean(2002, 10)).toBe('0.101');
    expect(formatMean(2000, 10)).toBe('0.10');
    fc.assert(
      fc.property(
        fc.integer({ min: -5000, max: 5000 }),
        fc.integer({ min: 1, max: 900 }),
        fc.integer({ min: 1, max: 300 }),
        (sum, count, limit) => {
          const shown = parseLoss(formatMean(sum, count), 1e9);
          const over = sum > 2 * limit * count;
          expect(shown.ok && shown.value > limit).toBe(over);
        },
      ),
    );
  });
});
