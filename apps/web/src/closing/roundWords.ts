import type { GaugeUnit } from '@cordel/core';
import { type LeakEstimate, type PressureRound, inUnit } from '@cordel/core/close';

/** What the pressure is released before. */
export const BEFORE = { opening: 'opening', mending: 'repairing', leaving: 'leaving' } as const;

/** A rate in the gauge's unit with its own uncertainty: `falls 0.015 ± 0.004 psi a minute`. */
function rateWords({ rate, sigma }: LeakEstimate, unit: GaugeUnit): string {
  const digits = rateDigits(sigma, unit);
  const figure = (pascals: number) => inUnit(Math.abs(pascals), unit).toFixed(digits);
  return `${rate < 0 ? 'rises' : 'falls'} ${figure(rate)} ± ${figure(sigma)} ${unit} a minute`;
}

/** Digits behind the point so that the uncertainty has two. */
const rateDigits = (sigma: number, unit: GaugeUnit): number =>
  Math.max(0, Math.min(6, 1 - Math.floor(Math.log10(inUnit(sigma, unit)))));

const VERDICTS: Record<LeakEstimate['verdict'], string> = {
  few: 'Too few readings to calculate a leak yet.',
  tight: 'Tight: what it falls by, cooling explains.',
  leaks: 'It leaks: it falls by more than cooling explains.',
  open: 'Not decided yet.',
  rises: 'It rises by more than warming explains: find the cause.',
};

/** What the readings of a round say. */
export function estimateWords({ estimate }: PressureRound, unit: GaugeUnit): string {
  const { verdict, holdOn, followed, scatter } = estimate;
  const hold =
    holdOn === null ? '' : ` Hold on for about ${Math.max(1, Math.ceil(holdOn))} min more.`;
  if (verdict === 'few') return `${VERDICTS.few}${hold}`;
  return [
    `${VERDICTS[verdict]} At one temperature it ${rateWords(estimate, unit)}.`,
    hold,
    followed
      ? ''
      : ' Read the temperature again: with one figure only, cooling cannot be told from a leak.',
    scatter > 2 ? ' The readings jump more than the resolution of the gauge: check the hose.' : '',
  ].join('');
}
