import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/SchemesPage.tsx`. */
export const schemesPage = phrases({
  changeName: 'Change {name}',
  colourSchemeName: 'Colour scheme {name}',
  coloursInOrder: 'Colours in order',
  coloursInOrderNameLettersRrggbb: 'Colours in order: name, letters, #RRGGBB',
  lineNumber: 'Line {number}: ',
  makeMyOwnFrom: 'Make my own from {name}',
  sourcePastTheLastColourThe:
    'Source: {source} Past the last colour the order repeats with a {mark}.',
  marksPastTheLastColour: 'Marks past the last colour',
  ring: 'Ring',
  saveTheScheme: 'Save the scheme',
  schemeName: 'Scheme name',
  tracer: 'Tracer',
  whereTheOrderComesFrom: 'Where the order comes from',
  yourOwnScheme: 'Your own scheme',
});
