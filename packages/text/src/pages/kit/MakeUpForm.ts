import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/MakeUpForm.tsx`. */
export const makeUpForm = phrases({
  drop: 'Drop',
  fibersATube: 'Fibers a tube',
  groupsOf12ATube: 'Groups of 12 a tube',
  looseTube: 'Loose tube',
  makeUp: 'Make-up',
  ribbonsOf12: 'Ribbons of 12',
  tubes: 'Tubes',
  tubesWithGroups: 'Tubes with groups',
});
