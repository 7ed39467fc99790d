import type { GaugeUnit } from '@cordel/core';
import { type LeakEstimate, type PressureRound, inUnit } from '@cordel/core/close';
import { roundWords as t } from '@cordel/text/pages/closing/roundWords';

/** What the pressure is released before. */
export const BEFORE = { opening: 'opening', mending: 'repairing', leaving: 'leaving' } as const;

/** A rate in the gauge's unit with its own uncertainty: `falls 0.015 ± 0.004 psi a minute`. */
function rateWords({ rate, sigma }: LeakEstimate, unit: GaugeUnit): string {
  const digits = rateDigits(sigma, unit);
  const figure = (pascals: number) => inUnit(Math.abs(pascals), unit).toFixed(digits);
  return t('rateAMinute', {
    rate: rate < 0 ? 'rises' : 'falls',
    figure: figure(rate),
    sigma: figure(sigma),
    unit,
  });
}

/** Digits behind the point so that the uncertainty has two. */
const rateDigits = (sigma: number, unit: GaugeUnit): number =>
  Math.max(0, Math.min(6, 1 - Math.floor(Math.log10(inUnit(sigma, unit)))));

const VERDICTS: Record<LeakEstimate['verdict'], string> = {
  few: t('tooFewReadingsToCalculateA'),
  tight: t('tightWhatItFallsByCooling'),
  leaks: t('itLeaksItFallsByMore'),
  open: t('notDecidedYet'),
  rises: t('itRisesByMoreThanWarming'),
};

/** What the readings of a round say. */
export function estimateWords({ estimate }: PressureRound, unit: GaugeUnit): string {
  const { verdict, holdOn, followed, scatter } = estimate;
  const hold =
    holdOn === null ? '' : t('holdOnForAboutMinMore', { minutes: Math.max(1, Math.ceil(holdOn)) });
  if (verdict === 'few') return `${VERDICTS.few}${hold}`;
  return [
    t('atOneTemperatureIt', { verdicts: VERDICTS[verdict], rate: rateWords(estimate, unit) }),
    hold,
    followed ? '' : t('readTheTemperatureAgainWithOne'),
    scatter > 2 ? t('theReadingsJumpMoreThanThe') : '',
  ].join('');
}
