import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/routeImport/FoundClosures.tsx`. */
export const foundClosures = phrases({
  andFoundMore: 'and {found} more',
  andMissingMore: ' and {missing} more',
  distanceReplaces: '{distance}, replaces {before}',
  hereAlready: 'here already',
  isItOnThisLine: ': is it on this line?',
  newIsAdded: 'new, is added',
  notInTheFileClosures: 'Not in the file, {closures, plural, one {# closure} other {# closures}}: ',
  offTheLine: '{off} off the line{far}',
  onNoLine: 'on no line',
  staysAtDistance: 'stays at {distance}',
});
