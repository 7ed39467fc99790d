import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/closing/SiteSafety.tsx`. */
export const siteSafety = phrases({
  firstAidAndShardsAtHand: 'First aid and the container for shards are at hand',
  firstAidMissing: 'First aid and a closed container for shards come first.',
  lookAfterFirst: 'Look after this first: {hazard}.',
  lookedAfter: 'Looked after: {hazard}',
  noneOfThese: 'None of these',
  sayWhatApplies: 'Say what of site safety applies here, or none of these.',
  siteSafety: 'Site safety',
  whatIsThereHere: 'What is there here? Follow local codes and the practice of your company.',
});
