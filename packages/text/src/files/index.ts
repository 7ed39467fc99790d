import type { CsvNote, CsvProblem } from '@cordel/core/csv';
import type { GeoNote, GeoProblem, PlaceProblem } from '@cordel/core/geo';
import type { SorProblem, TraceWarning } from '@cordel/core/otdr';
import type { CellProblem, SheetNote, WorkbookProblem } from '@cordel/core/xlsx';
import { type WithText, catalog } from '../catalog.ts';
import { issueText } from '../record/issue.ts';

const NO_ROWS = 'There are titles but no rows below them.';

/** Why a list cannot be read as CSV. */
export const csvProblemText = catalog<CsvProblem>()({
  noText: 'This is not a text file: save the list as CSV (UTF-8) and choose that.',
  empty: 'The file is empty: the first row holds the titles, an entry a row below.',
  oneColumn: 'Only one column was found: separate the columns by commas, semicolons or tabs.',
  noRows: NO_ROWS,
  otherFile:
    'This is {file, select, png {a PNG picture} jpeg {a JPEG picture} gif {a GIF picture} pdf {a PDF} other {a spreadsheet or zip file}}, not a CSV file: save the list as CSV (UTF-8) and choose that.',
  quotes: 'Row {row}: a quoted cell is not closed or has text after its closing quote.',
});

/** Why a workbook cannot be read. */
export const workbookProblemText = catalog<WorkbookProblem>()({
  noWorkbook: 'This is not a workbook, or a broken one: save it again as .xlsx, or as CSV (UTF-8).',
  openDocument: 'This is an OpenDocument sheet: save it as .xlsx or as CSV (UTF-8).',
  otherZip: 'This zip is not a workbook: save the list as .xlsx, or as CSV (UTF-8).',
  noSheet: 'There is no sheet in the workbook.',
  noSuchSheet: 'There is no sheet “{sheet}” in the workbook.',
  sheetMissing: 'The sheet “{sheet}” is missing from the workbook.',
  sheetTooNarrow: 'The sheet “{sheet}” has fewer than two columns: the first row holds the titles.',
  noRows: NO_ROWS,
  rowTooFar:
    'The workbook cannot be read: row {row} is past the last of a sheet. Save it again, or as CSV.',
  broken: 'The workbook cannot be read: {reason}. Save it again, or as CSV.',
});

/** Why a list cannot be opened, whatever its format. */
export const fileProblemText = (problem: CsvProblem | WorkbookProblem): string =>
  isCsv(problem) ? csvProblemText(problem) : workbookProblemText(problem);

const CSV_CODES: ReadonlySet<string> = new Set<CsvProblem['code']>([
  'noText',
  'empty',
  'oneColumn',
  'noRows',
  'otherFile',
  'quotes',
]);
const isCsv = (problem: { code: string }): problem is CsvProblem => CSV_CODES.has(problem.code);

/** What is odd about a cell. */
export const cellProblemText = catalog<CellProblem>()({
  formulaWithoutValue: '{cell} is a formula without a value: paste its value.',
  merged: '{cell} are merged: only the first cell has a value. Unmerge them, and fill every cell.',
  errorValue: '{cell} is an error, {shown}: correct it in the sheet.',
  dateValue:
    '{cell} is a date, {shown}: the sheet may have made one of 9/4. Format the column as text, and type it again.',
});

/** What is to be said of how a list was read. */
export const listNoteText = catalog<SheetNote | CsvNote>()({
  formulas:
    '{count, plural, one {A cell is a formula} other {# cells are formulas}} ({cell}): the last value is taken.',
  sheetOf: 'The sheet “{sheet}” is read, of {count}.',
  windows1252:
    'The file is not UTF-8: it was read as Windows-1252. Check letters such as é, ñ and ü.',
});

const places = catalog<PlaceProblem>()({
  noDegrees:
    '{pair} are not degrees; they look like meters of a projection. Export the file in longitude and latitude of WGS 84.',
  axesCrossed:
    '{pair}: a latitude over 90. The axes are crossed: longitude comes first. Swap them.',
  noPlace: '{pair} is not a place: longitude -180 to 180, latitude -90 to 90.',
});

const geo = catalog<WithText<WithText<GeoProblem, 'issue'>, 'problem'>>()({
  noJson: 'This is not JSON: {reason}.',
  noCollection: 'This is not a GeoJSON feature collection: {path}: {issue}',
  otherSystem:
    'The coordinates are of {system}. GeoJSON is in longitude and latitude of WGS 84 (RFC 7946): export it so.',
  featureInvalid: 'Feature {feature}: {issue}',
  featurePlace: 'Feature {feature}: {problem}',
  closureTwice: 'Two closures are called “{name}”: a name stands for one.',
  nothingFound: 'There is neither a line nor a point with a name in it.',
});

/** Why a route cannot be read. */
export function geoProblemText(problem: GeoProblem): string {
  if ('issue' in problem) return geo({ ...problem, issue: issueText(problem.issue) });
  if ('problem' in problem) return geo({ ...problem, problem: places(problem.problem) });
  return geo(problem);
}

/** What was passed over in a route. */
export const geoNoteText = catalog<GeoNote>()({
  pointsWithoutName: '{count, plural, one {# point} other {# points}} without a name passed over.',
  areas: '{count, plural, one {# area} other {# areas}} passed over: neither line nor point.',
  featuresWithoutPlace:
    '{count, plural, one {# feature} other {# features}} without a place passed over.',
});

const sorProblems = catalog<SorProblem>()({
  notATraceFile: 'this is not a trace file: it begins neither with a Map nor with revision 100.',
  blockMissing: 'the block is missing.',
  noSampleSpacing: 'the sample spacing is zero.',
  noSamples: 'the block has no samples.',
  blockNameInvalid: 'the name of a block is not valid.',
  blockNotThere: 'the Map names this block, and it is not there.',
  blockMoved: 'the block is at byte {found}: a size in the Map is wrong.',
  blockCutOff: 'the file ends {missing} bytes before this block does.',
  endsBeforeField: 'the block ends before its {field}.',
  fieldWithoutEnd: 'its {field} has no end.',
  mapCount: 'it states {stated} blocks, and names {found}.',
  mapSize: 'it states {stated} bytes, and has {found}.',
  pulseWidths: 'it states {stated} pulse widths, and cannot hold them.',
  groupIndex: 'no fiber has a group index of {index}.',
  scaleFactors: 'it states {stated} scale factors, and cannot hold them.',
  samplesOfFactor: 'it states {stated} samples of a scale factor, and {found} are there.',
  samplesInAll: 'it states {stated} samples, and {found} are there.',
  checksum:
    'the checksum is {stored}, and the bytes before it give {computed}: instruments differ in what they cover, or the file was changed.',
});

const traceWarnings = catalog<Exclude<TraceWarning, SorProblem>>()({
  twoWavelengths:
    'The file names two wavelengths: GenParams {generalNm} nm, FxdParams {fixedNm} nm.',
  saidBefore: '{text}',
});

/** Why a trace file cannot be read, with block and byte. */
export const sorProblemText = (problem: SorProblem): string =>
  `${problem.block}, byte ${problem.byte}: ${sorProblems(problem)}`;

/** What is odd about a trace that was read all the same. */
export const traceWarningText = (warning: TraceWarning): string =>
  'block' in warning ? sorProblemText(warning) : traceWarnings(warning);
