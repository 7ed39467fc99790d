import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/roundWords.ts`. */
export const roundWords = phrases({
  atOneTemperatureIt: '{verdicts} At one temperature it {rate}.',
  holdOnForAboutMinMore: ' Hold on for about {minutes} min more.',
  itLeaksItFallsByMore: 'It leaks: it falls by more than cooling explains.',
  itRisesByMoreThanWarming: 'It rises by more than warming explains: find the cause.',
  notDecidedYet: 'Not decided yet.',
  rateAMinute: '{rate} {figure} ± {sigma} {unit} a minute',
  readTheTemperatureAgainWithOne:
    ' Read the temperature again: with one figure only, cooling cannot be told from a leak.',
  theReadingsJumpMoreThanThe:
    ' The readings jump more than the resolution of the gauge: check the hose.',
  tightWhatItFallsByCooling: 'Tight: what it falls by, cooling explains.',
  tooFewReadingsToCalculateA: 'Too few readings to calculate a leak yet.',
});
