import { MOST_FIBERS } from '../record/basics.ts';
import { type CableKind, type MakeUp, cableNameSchema, makeUpSchema } from '../record/cable.ts';
import type { SchemaIssue } from '../record/issue.ts';
import { readNumber } from '../measure/number.ts';
import type { Table } from '../record/csv.ts';
import { type TitledTable, matchTitles } from '../record/titles.ts';
import type { RowProblem } from '../record/rowProblem.ts';

/** The columns of a cable list. */
export const CABLE_COLUMNS = ['name', 'kind', 'fibers', 'tubes', 'perTube'] as const;
export type CableColumn = (typeof CABLE_COLUMNS)[number];

/** Titles under which the columns are written. */
export const CABLE_TITLES: Record<CableColumn, string> = {
  name: 'cable',
  kind: 'kind',
  fibers: 'fibers',
  tubes: 'tubes',
  perTube: 'fibers per tube',
};

const SYNONYMS: Record<CableColumn, string[]> = {
  name: ['name', 'cablename', 'cableid', 'id'],
  kind: ['type', 'makeup', 'construction'],
  fibers: ['fibres', 'fibercount', 'fibrecount', 'count', 'f'],
  tubes: ['tubecount', 'buffers', 'buffertubes', 'ribbons'],
  perTube: ['fibrespertube', 'fiberspertube', 'pertube', 'fpt'],
};

export type CableMatch = Record<CableColumn, number | null>;

/** Guesses the columns from the titles of a file. */
export const matchCableColumns = (header: readonly string[]): CableMatch =>
  matchTitles(CABLE_COLUMNS, header, (column, title) =>
    [CABLE_TITLES[column].replace(/ /g, ''), ...SYNONYMS[column]].includes(title),
  );

/** A cable of a list. */
export interface ListedCable {
  name: string;
  makeUp: MakeUp;
}

const KINDS: [RegExp, CableKind][] = [
  [/ribbon|mass/i, 'ribbon'],
  [/drop|flat|tight/i, 'drop'],
  [/group|24/i, 'grouped-tube'],
  [/loose|tube|strand|^$/i, 'loose-tube'],
];

/** What is wrong in a row of a cable list. */
export type CableListMessage =
  | { code: 'columnMissing'; title: string }
  | { code: 'invalid'; issue: SchemaIssue }
  | { code: 'listedTwice'; name: string; row: number }
  | { code: 'inProject'; name: string }
  | { code: 'noKind' | 'dropNeedsFibers' | 'cableNeedsFibers' | 'ribbonNeedsFibers' }
  | { code: 'noCount'; most: number }
  | { code: 'countsDisagree'; fibers: number; tubes: number; perTube: number; product: number }
  | { code: 'notByTwelves'; fibers: number; tubes: number }
  | { code: 'notTubesOf'; fibers: number; tubes: number; perTube: number }
  | { code: 'notRibbons'; fibers: number }
  | { code: 'ribbonsUneven'; fibers: number; ribbons: number; units: number };

/** Counts as a row gives them; null where it gives none. */
interface Counts {
  fibers: number | null;
  tubes: number | null;
  perTube: number | null;
}

/** Why counts that are all given do not go together; null where they do. */
function contradiction({ fibers, tubes, perTube }: Counts): CableListMessage | null {
  if (fibers === null || tubes === null || perTube === null || tubes * perTube === fibers)
    return null;
  return { code: 'countsDisagree', fibers, tubes, perTube, product: tubes * perTube };
}

/** Makes a make-up of what a row says: of counts those that are not given follow. */
function makeUpOf(kind: CableKind, counts: Counts): MakeUp | CableListMessage {
  const wrong = contradiction(counts);
  if (wrong) return wrong;
  const { tubes, perTube } = counts;
  const fibers = counts.fibers ?? (tubes !== null && perTube !== null ? tubes * perTube : null);
  switch (kind) {
    case 'drop':
      return fibers === null ? { code: 'dropNeedsFibers' } : { kind, fibers };
    case 'ribbon':
      return ribbonsOf(fibers, tubes);
    case 'grouped-tube': {
      const count = tubes ?? (fibers === null ? null : fibers / (perTube ?? 24));
      if (count === null) return { code: 'cableNeedsFibers' };
      const groups = (perTube ?? (fibers === null ? 24 : fibers / count)) / 12;
      return Number.isInteger(count) && Number.isInteger(groups)
        ? { kind, tubes: count, groupsPerTube: groups }
        : { code: 'notByTwelves', fibers: fibers ?? 0, tubes: count };
    }
    case 'loose-tube': {
      const each = perTube ?? (fibers !== null && tubes ? fibers / tubes : 12);
      const count = tubes ?? (fibers === null ? null : Math.ceil(fibers / each));
      if (count === null) return { code: 'cableNeedsFibers' };
      if (!Number.isInteger(each) || (fibers !== null && count * each !== fibers))
        return { code: 'notTubesOf', fibers: fibers ?? 0, tubes: count, perTube: each };
      return { kind, tubes: count, fibersPerTube: each };
    }
  }
}

/** Ribbons of 12 by the fibers; without them what is counted as tubes are the ribbons. */
function ribbonsOf(fibers: number | null, units: number | null): MakeUp | CableListMessage {
  const ribbons = fibers === null ? units : fibers / 12;
  if (ribbons === null) return { code: 'ribbonNeedsFibers' };
  if (!Number.isInteger(ribbons)) return { code: 'notRibbons', fibers: fibers ?? 0 };
  // Ribbons themselves, or tubes that hold whole ribbons.
  if (units !== null && ribbons % units !== 0)
    return { code: 'ribbonsUneven', fibers: fibers ?? 0, ribbons, units };
  return { kind: 'ribbon', ribbons };
}

/**
 * Reads a cable list: every row becomes a cable, or a problem at its row and column.
 * @param known names of cables that the project has already
 */
export function readCableList(
  { header, rows, titlesRow }: TitledTable<Table>,
  match: CableMatch,
  known: ReadonlySet<string>,
): { cables: ListedCable[]; problems: RowProblem<CableListMessage>[] } {
  const problems: RowProblem<CableListMessage>[] = [];
  if (match.name === null || (match.fibers === null && match.tubes === null)) {
    const column = CABLE_TITLES[match.name === null ? 'name' : 'fibers'];
    return {
      cables: [],
      problems: [
        {
          row: titlesRow,
          column,
          value: '',
          message: { code: 'columnMissing', title: column },
        },
      ],
    };
  }
  const names = new Map<string, number>();
  const cables = rows.flatMap((cells, index): ListedCable[] => {
    // A blank row parts what belongs together for the eye; it is no cable.
    if (cells.every((cell) => cell.trim() === '')) return [];
    const row = titlesRow + index + 1;
    const cell = (column: CableColumn) =>
      match[column] === null ? '' : (cells[match[column]] ?? '').trim();
    const complain = (column: CableColumn, message: CableListMessage): [] => {
      const title = match[column] === null ? CABLE_TITLES[column] : header[match[column]]!;
      problems.push({ row, column: title, value: cell(column), message });
      return [];
    };
    const name = cell('name');
    const named = cableNameSchema.safeParse(name);
    if (!named.success) return complain('name', { code: 'invalid', issue: named.error.issues[0]! });
    const before = names.get(name);
    if (before) return complain('name', { code: 'listedTwice', name, row: before });
    names.set(name, row);
    if (known.has(name)) return complain('name', { code: 'inProject', name });
    const kind = KINDS.find(([words]) => words.test(cell('kind')))?.[1];
    if (!kind) return complain('kind', { code: 'noKind' });
    const figures: Partial<Record<CableColumn, number | null>> = {};
    for (const column of ['fibers', 'tubes', 'perTube'] as const) {
      const text = cell(column);
      const read = text === '' ? null : readNumber(text, 'either');
      const figure = read === null ? null : read.ok ? read.value : Number.NaN;
      if (figure !== null && !(Number.isInteger(figure) && figure > 0 && figure <= MOST_FIBERS))
        return complain(column, { code: 'noCount', most: MOST_FIBERS });
      figures[column] = figure;
    }
    const made = makeUpOf(kind, {
      fibers: figures.fibers!,
      tubes: figures.tubes!,
      perTube: figures.perTube!,
    });
    const column = match.fibers === null ? 'tubes' : 'fibers';
    if ('code' in made) return complain(column, made);
    const checked = makeUpSchema.safeParse(made);
    if (!checked.success)
      return complain(column, { code: 'invalid', issue: checked.error.issues[0]! });
    return [{ name, makeUp: checked.data }];
  });
  return { cables, problems };
}
