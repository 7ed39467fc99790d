import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ui/ColumnSelect.tsx`. */
export const columnSelect = phrases({
  choose: 'choose',
  columnAt: 'column {at}',
  columnFor: 'Column for {title}',
  none: 'none',
  notMatchedYet: 'not matched yet',
  titleAfter: '{title} (column {at}, after {before})',
  titleBefore: '{title} (column {at}, before {after})',
  titleBetween: '{title} (column {at}, between {before} and {after})',
});
