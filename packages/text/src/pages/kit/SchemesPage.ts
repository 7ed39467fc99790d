import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/SchemesPage.tsx`. */
export const schemesPage = phrases({
  changeName: 'Change {name}',
  colourSchemeName: 'Color scheme {name}',
  coloursInOrder: 'Colors in order',
  coloursInOrderNameLettersRrggbb: 'Colors in order: name, letters, #RRGGBB',
  lineNumber: 'Line {number}: ',
  makeMyOwnFrom: 'Make my own from {name}',
  sourcePastTheLastColourThe:
    'Source: {source} Past the last color the order repeats with a {mark}.',
  marksPastTheLastColour: 'Marks past the last color',
  ring: 'Ring',
  saveTheScheme: 'Save the scheme',
  schemeName: 'Scheme name',
  tracer: 'Tracer',
  whereTheOrderComesFrom: 'Where the order comes from',
  yourOwnScheme: 'Your own scheme',
});
