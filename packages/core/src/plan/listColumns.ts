import { type Parsed, parsed, refused } from '../record/parsed.ts';
import { cutText } from '../record/cutText.ts';
import { END_WAYS, type EndWay, LEGS, type Leg, type Method } from '../record/splice.ts';
import { matchTitles } from '../record/titles.ts';

/** The columns of a splice list. */
export const LIST_COLUMNS = [
  'closure',
  'tray',
  'slot',
  'cableA',
  'legA',
  'tubeA',
  'fiberA',
  'cableB',
  'legB',
  'tubeB',
  'fiberB',
  'method',
  'end',
] as const;
export type ListColumn = (typeof LIST_COLUMNS)[number];

/**
 * Columns a list may do without: the tube may be written with the fiber, the method be said once for all; only express
 * cables have legs, and only ports have ends.
 */
export const OPTIONAL_COLUMNS: readonly ListColumn[] = [
  'legA',
  'tubeA',
  'legB',
  'tubeB',
  'method',
  'end',
];

/** Titles under which the columns are written and recognised. */
export const COLUMN_TITLES: Record<ListColumn, string> = {
  closure: 'closure',
  tray: 'tray',
  slot: 'slot',
  cableA: 'cable A',
  legA: 'leg A',
  tubeA: 'tube A',
  fiberA: 'fiber A',
  cableB: 'cable B',
  legB: 'leg B',
  tubeB: 'tube B',
  fiberB: 'fiber B',
  method: 'method',
  end: 'end',
};

/** Which column of the file holds what: an index from 0, or null where the file has none. */
export type ColumnMatch = Record<ListColumn, number | null>;

/** A title that does not say its side is that of A where it stands first, and of B where it stands again. */
const SYNONYMS: Record<ListColumn, string[]> = {
  closure: ['joint', 'enclosure', 'splicepoint', 'node'],
  tray: ['cassette', 'trayno', 'traynumber'],
  slot: ['position', 'place', 'slotno'],
  cableA: ['fromcable', 'cable1', 'cablefrom', 'acable', 'cable'],
  legA: ['fromleg', 'leg1', 'aleg'],
  tubeA: [
    'ribbona',
    'buffera',
    'fromtube',
    'fromribbon',
    'tube1',
    'tubefrom',
    'atube',
    'tube',
    'buffer',
    'ribbon',
  ],
  fiberA: [
    'fibrea',
    'fromfiber',
    'fromfibre',
    'fiber1',
    'fibre1',
    'fiberfrom',
    'afiber',
    'fiber',
    'fibre',
    'strand',
  ],
  cableB: ['tocable', 'cable2', 'cableto', 'bcable', 'cable'],
  legB: ['toleg', 'leg2', 'bleg'],
  tubeB: [
    'ribbonb',
    'bufferb',
    'totube',
    'toribbon',
    'tube2',
    'tubeto',
    'btube',
    'tube',
    'buffer',
    'ribbon',
  ],
  fiberB: [
    'fibreb',
    'tofiber',
    'tofibre',
    'fiber2',
    'fibre2',
    'fiberto',
    'bfiber',
    'fiber',
    'fibre',
    'strand',
  ],
  method: ['kind', 'type', 'splicemethod'],
  end: ['termination', 'connectorization', 'endtype'],
};

/** Guesses the columns from the titles of a file. */
export const matchColumns = (header: readonly string[]): ColumnMatch =>
  matchTitles(LIST_COLUMNS, header, (column, title) =>
    [COLUMN_TITLES[column].replace(' ', '').toLowerCase(), ...SYNONYMS[column]].includes(title),
  );

/** Columns that are needed and not found yet. */
export const unmatchedColumns = (match: ColumnMatch): ListColumn[] =>
  LIST_COLUMNS.filter((column) => match[column] === null && !OPTIONAL_COLUMNS.includes(column));

const METHOD_WORDS: ReadonlyMap<string, Method> = new Map(
  Object.entries({
    single: 'single',
    fusion: 'single',
    s: 'single',
    mass: 'mass',
    ribbon: 'mass',
    m: 'mass',
    r: 'mass',
  } as const),
);

/** Why a method cannot be read. */
export interface MethodProblem {
  code: 'noMethod';
  text: string;
}

/** Why a leg or the way of an end cannot be read. */
export type ListWordProblem = { code: 'noLeg' | 'noEnd'; text: string };

/** The leg of an express cable, as a row says it; null where the cell is blank. */
export function readLeg(text: string): Parsed<Leg | null, ListWordProblem> {
  const leg = text === '' ? null : LEGS.find((known) => known === text.toLowerCase());
  return leg === undefined ? refused({ code: 'noLeg', text: cutText(text, 40) }) : parsed(leg);
}

/** How a fiber ends, as a row says it; null where the cell is blank: it is spliced. */
export function readEnd(text: string): Parsed<EndWay | null, ListWordProblem> {
  const end = text === '' ? null : END_WAYS.find((known) => known === text.toLowerCase());
  return end === undefined ? refused({ code: 'noEnd', text: cutText(text, 40) }) : parsed(end);
}

/** How fibers are spliced, as a row says it. */
export function readMethod(text: string): Parsed<Method, MethodProblem> {
  const method = METHOD_WORDS.get(text.toLowerCase());
  return method ? parsed(method) : refused({ code: 'noMethod', text: cutText(text, 40) });
}
