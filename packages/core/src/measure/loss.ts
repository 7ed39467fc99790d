import type { Loss } from '../record/message.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';
import { readNumber } from './number.ts';

/** Why a loss cannot be read. */
export type LossProblem =
  | { code: 'typeLoss' | 'tooManyDecimals' }
  | { code: 'noLoss'; text: string }
  | { code: 'noSplice'; loss: Loss; most: Loss }
  /** What was likely meant, a decimal point off. */
  | { code: 'noSpliceMeant'; loss: Loss; most: Loss; meant: Loss };

/**
 * Reads a loss in dB as whole thousandths of a dB.
 * @param text what was typed, such as `0.02`, `.015`, `-0.1 dB`
 * @param most the largest size that can be meant, in thousandths of a dB
 */
export function parseLoss(text: string, most: number): Parsed<number, LossProblem> {
  const bare = text
    .trim()
    .replace(/\s*db$/i, '')
    .replace(/^\u2212/, '-');
  if (bare === '') return refused({ code: 'typeLoss' });
  const number = readNumber(bare, 'small');
  if (!number.ok) return refused({ code: 'noLoss', text: text.trim() });
  const thousandths = number.value * 1000;
  const whole = Math.round(thousandths);
  if (Math.abs(thousandths - whole) > 1e-6) return refused({ code: 'tooManyDecimals' });
  if (Math.abs(whole) > most) {
    const said = { loss: { lossMdb: whole }, most: { lossMdb: most } };
    return Math.abs(whole) > 0
      ? refused({ code: 'noSpliceMeant', ...said, meant: { lossMdb: Math.round(whole / 100) } })
      : refused({ code: 'noSplice', ...said });
  }
  return parsed(whole);
}

/**
 * Reads what a thumb typed on a keypad. Without a point the digits are hundredths, as a splicer shows
 * them: `2` is 0.02 dB, `12` is 0.12 dB; with a point they stand as typed.
 */
export function parseKeypad(keys: string, most: number): Parsed<number, LossProblem> {
  const sign = keys.startsWith('-') ? '-' : '';
  const digits = keys.slice(sign.length);
  if (digits === '') return refused({ code: 'typeLoss' });
  if (digits.includes('.')) return parseLoss(`${sign}${digits}`, most);
  return parseLoss(`${sign}${Number(digits) / 100}`, most);
}

/** Prints half-thousandths of a dB with as many decimals as it takes, at least two. Exact. */
export function formatHalf(half: number): string {
  const sign = half < 0 ? '\u2212' : '';
  const tenThousandths = Math.abs(half) * 5;
  const decimals = tenThousandths % 100 === 0 ? 2 : tenThousandths % 10 === 0 ? 3 : 4;
  const whole = Math.trunc(tenThousandths / 10000);
  const rest = String(tenThousandths % 10000).padStart(4, '0');
  return `${sign}${whole}.${rest.slice(0, decimals)}`;
}

/** Prints whole thousandths of a dB, with two decimals or three. Exact. */
export const formatLoss = (mdb: number): string => formatHalf(mdb * 2);

/**
 * The mean of `count` losses whose sum is given in half-thousandths, as it is shown and exported everywhere: rounded up to
 * whole thousandths of a dB, so that a mean over its limit never reads as if it kept it. Limits are compared with the sum.
 */
export const meanMdb = (sumHalf: number, count: number): number => Math.ceil(sumHalf / (2 * count));

/** Prints such a mean, to three decimals at most. */
export const formatMean = (sumHalf: number, count: number): string =>
  formatLoss(meanMdb(sumHalf, count));
