import { matchTitles } from '../record/titles.ts';

/** The columns of a list of link measurements. */
export const LINK_COLUMNS = [
  'cable',
  'fiber',
  'direction',
  'wavelength',
  'loss',
  'power',
  'reference',
  'source',
  'meter',
  'calibrated',
  'returnLoss',
] as const;
export type LinkColumn = (typeof LINK_COLUMNS)[number];

/** What a list cannot do without; a loss, a power or a return loss it has besides. */
export const NEEDED_LINK_COLUMNS: readonly LinkColumn[] = ['fiber', 'wavelength'];

/** Which column of the file holds what: an index from 0, or null where the file has none. */
export type LinkColumnMatch = Record<LinkColumn, number | null>;

/** Titles under which the columns are recognised, bare of case and marks; the first is how they are called. */
const TITLES: Record<LinkColumn, readonly string[]> = {
  cable: ['cable', 'cablename', 'cableid'],
  fiber: ['fiber', 'fibre', 'fiberno', 'fibreno', 'fibernumber', 'fiberid', 'fibreid', 'port'],
  direction: ['direction', 'dir', 'from', 'sourceend', 'end'],
  wavelength: ['wavelength', 'wavelengthnm', 'nm', 'lambda', 'wl'],
  loss: ['loss', 'lossdb', 'insertionloss', 'insertionlossdb', 'ildb', 'il', 'attenuation', 'db'],
  power: ['power', 'powerdbm', 'dbm', 'reading', 'level', 'leveldbm', 'measured', 'measureddbm'],
  reference: ['reference', 'ref', 'referencedbm', 'refdbm', 'referencepower', 'referencelevel'],
  source: ['source', 'lightsource', 'sourcesn', 'ols'],
  meter: ['meter', 'powermeter', 'metersn', 'opm'],
  calibrated: [
    'calibrateduntil',
    'calibrationdue',
    'caldue',
    'calibration',
    'calibrated',
    'caldate',
  ],
  returnLoss: ['returnloss', 'returnlossdb', 'orl', 'orldb', 'rl', 'rldb'],
};

/** How a column is called. */
export const LINK_COLUMN_TITLES: Record<LinkColumn, string> = {
  cable: 'cable',
  fiber: 'fiber',
  direction: 'direction',
  wavelength: 'wavelength (nm)',
  loss: 'loss (dB)',
  power: 'power (dBm)',
  reference: 'reference (dBm)',
  source: 'source',
  meter: 'meter',
  calibrated: 'calibrated until',
  returnLoss: 'return loss (dB)',
};

/** Guesses the columns from the titles of a file. */
export const matchLinkColumns = (header: readonly string[]): LinkColumnMatch =>
  matchTitles(LINK_COLUMNS, header, (column, title) => TITLES[column].includes(title));

/** Columns that are needed and not found yet: a figure is needed too, of whichever kind. */
export const missingLinkColumns = (match: LinkColumnMatch): LinkColumn[] => [
  ...NEEDED_LINK_COLUMNS.filter((column) => match[column] === null),
  ...(match.loss === null && match.power === null && match.returnLoss === null
    ? (['loss'] as const)
    : []),
];
