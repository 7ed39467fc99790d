import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/bench/InHand.tsx`. */
export const inHand = phrases({
  dbAtNm: 'dB at {nm} nm',
  dbByAMeter: 'dB by a meter, {nm} nm',
  dbEstimate: 'dB estimate',
  lossTyped: 'Loss typed',
  shardsIntoTheClosedContainerEyes:
    'Shards into the closed container, eyes covered. No solvent near the arc or the heater. Never look into a fiber end. Follow local codes and your company’s practice.',
  skip: 'Skip',
  sleeveOn: 'Sleeve on?',
  sleeveOnFirstSpliceTheRecord: '{again}Sleeve on first. Splice: the record comes by itself.',
  tickItAboveFoundAfterThe: 'Tick it above: found after the heater it breaks a good splice.',
  typeTheEstimate: 'Type the estimate',
  worstName: 'worst: {name}',
});
