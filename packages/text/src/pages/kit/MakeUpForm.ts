import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/MakeUpForm.tsx`. */
export const makeUpForm = phrases({
  drop: 'Drop',
  fibersATube: 'Fibers a tube',
  groupsOf12ATube: 'Groups of 12 a tube',
  looseTube: 'Loose tube',
  makeUp: 'Make-up',
  fibersARibbon: 'Fibers a ribbon',
  flat: 'flat',
  rollable: 'rollable',
  ribbonsAre: 'Ribbons are',
  ribbons: 'Ribbons',
  ribbonsATube: 'Ribbons a tube',
  ribbonsInOneTube: 'Ribbons a tube stays empty where all of them lie in one.',
  tubes: 'Tubes',
  tubesWithGroups: 'Tubes with groups',
});
