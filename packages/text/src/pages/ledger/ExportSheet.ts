import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/ledger/ExportSheet.tsx`. */
export const exportSheet = phrases({
  closuresCsv: 'Closures (CSV)',
  csvAsInRfc4180The:
    'CSV as in RFC 4180. The whole project is what Cordel imports again: the zip has traces and photos as files, the JSON is one text.',
  fibersCsv: 'Fibers (CSV)',
  jsonSchemaOfTheProject: 'JSON Schema of the project',
  splicesCsv: 'Splices (CSV)',
  traysCsv: 'Trays (CSV)',
  wholeProjectJson: 'Whole project (JSON)',
  wholeProjectZip: 'Whole project (ZIP)',
});
