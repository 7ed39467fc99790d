import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/kit/CableListPage.tsx`. */
export const cableListPage = phrases({
  aListCsvOrXlsxWith:
    'A list (CSV or XLSX) with the columns cable, kind, fibers, tubes, fibers per tube. Kind is loose tube, grouped tube, ribbon or drop; of fibers and tubes one is enough.',
  andFreshMore: 'and {fresh} more',
  cableCalled: 'Cable {called}',
  importCables: 'Import {cables, plural, one {# cable} other {# cables}}',
  problemsFixTheListFirst:
    '{problems, plural, one {# problem} other {# problems}}: fix the list first',
  rowColumn: 'Row {row}, {column}:',
  seeTheCables: 'See the cables',
});
