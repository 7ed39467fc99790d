import { type Parsed, parsed, refused } from '../record/parsed.ts';
import { readNumber } from './number.ts';

/**
 * Reads a loss in dB as whole thousandths of a dB.
 * @param text what was typed, such as `0.02`, `.015`, `-0.1 dB`
 * @param most the largest size that can be meant, in thousandths of a dB
 */
export function parseLoss(text: string, most: number): Parsed<number> {
  const bare = text
    .trim()
    .replace(/\s*db$/i, '')
    .replace(/^\u2212/, '-');
  if (bare === '') return refused('Type the loss in dB, such as 0.02.');
  const number = readNumber(bare, 'small');
  if (!number.ok) return refused(`“${text.trim()}” is no loss: type it in dB, such as 0.02.`);
  const thousandths = number.value * 1000;
  const whole = Math.round(thousandths);
  if (Math.abs(thousandths - whole) > 1e-6) {
    return refused('Losses are kept in thousandths: give at most three decimals, such as 0.015.');
  }
  if (Math.abs(whole) > most) {
    const meant =
      Math.abs(whole) > 0 ? ` Did you mean ${formatLoss(Math.round(whole / 100))}?` : '';
    return refused(
      `${formatLoss(whole)} dB is no splice; the most is ${formatLoss(most)} dB.${meant}`,
    );
  }
  return parsed(whole);
}

/**
 * Reads what a thumb typed on a keypad. Without a point the digits are hundredths, as a splicer shows
 * them: `2` is 0.02 dB, `12` is 0.12 dB; with a point they stand as typed.
 */
export function parseKeypad(keys: string, most: number): Parsed<number> {
  const sign = keys.startsWith('-') ? '-' : '';
  const digits = keys.slice(sign.length);
  if (digits === '') return refused('Type the loss in dB, such as 0.02.');
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
 * Prints the mean of `count` losses whose sum is given in half-thousandths, to three decimals,
 * rounded up, so that a mean over its limit never reads as if it kept it.
 */
export function formatMean(sumHalf: number, count: number): string {
  return formatLoss(Math.ceil(sumHalf / (2 * count)));
}
