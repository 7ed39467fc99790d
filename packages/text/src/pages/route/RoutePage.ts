import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/route/RoutePage.tsx`. */
export const routePage = phrases({
  circuits: 'Circuits',
  closuresAlongTheRoute: 'Closures along the route',
  nameDoneOfDueSpliced: '{name}: {done} of {due} spliced',
  ofSplicedLimit: '{done} of {total} spliced · limit {limit} {grade}',
  archivedTheTotalsCountThem:
    'Archived, {closures, plural, one {# closure} other {# closures}}; the totals count them',
});
