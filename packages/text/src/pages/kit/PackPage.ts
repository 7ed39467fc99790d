import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/PackPage.tsx`. */
export const packPage = phrases({
  hardwareMissing: 'Hardware missing.',
  notCountedWithout:
    '{closures}: no hardware is chosen. Seals, trays, plugs and parts of these closures are not counted.',
  skippedCounted:
    '{skipped, plural, one {# skipped splice is} other {# skipped splices are}} counted: they are still to be made.',
  chooseClosuresWhatTheyTakeIs:
    'Choose closures: what they take is counted from their plans and hardware.',
  countedShort: '{counted} short',
  forWhichClosures: 'For which closures?',
  inStock: 'In stock',
  inStock2: 'in stock',
  nameInStock: '{name} in stock',
  namePacked: '{name} packed',
  pieces: '{pieces, plural, one {# piece} other {# pieces}}',
  store: 'From the store',
  van: 'From the van',
  saveAsCsv: 'Save as CSV',
  forRedosExpected:
    '{items, plural, one {# item} other {# items}} for {closures, plural, one {# closure} other {# closures}}; redos expected {redoPercent} %',
});
