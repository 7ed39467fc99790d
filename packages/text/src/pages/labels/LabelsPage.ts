import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/labels/LabelsPage.tsx`. */
export const labelsPage = phrases({
  allClosures: 'All {closures} closures',
  importASpliceListOrAdd: 'Import a splice list, or add a closure in the Kit.',
  labelsUsedAlready: 'Labels used already',
  noClosuresYet: 'No closures yet',
  onASheetThatWasBegun: 'On a sheet that was begun',
  pngOfTitle: 'PNG of {title}',
  printAt100OnPlainPaper: 'Print at 100 %, on plain paper first. Typed, the code is {shortCode}.',
  oneCodeEach:
    'Closures in the order of the route, each with its own code. Print at 100 %, on plain paper first.',
  sheet: 'Sheet',
  sheetsOfAllPdf: 'Labels of all {closures} closures (PDF)',
  sheetOfLabelsPdf: 'Sheet of {labels, plural, one {# label} other {# labels}} (PDF)',
  svgOfTitle: 'SVG of {title}',
  titleLinesCode: '{title}, {lines}, code {code}',
});
