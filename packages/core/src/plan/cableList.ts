import { MOST_FIBERS } from '../record/basics.ts';
import { type MakeUp, cableNameSchema, makeUpSchema } from '../record/cable.ts';
import { readNumber } from '../measure/number.ts';
import type { Table } from '../record/csv.ts';
import { type TitledTable, matchTitles } from '../record/titles.ts';
import type { ListProblem } from './spliceList.ts';

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

const KINDS: [RegExp, MakeUp['kind']][] = [
  [/ribbon|mass/i, 'ribbon'],
  [/drop|flat|tight/i, 'drop'],
  [/group|24/i, 'grouped-tube'],
  [/loose|tube|strand|^$/i, 'loose-tube'],
];

/** Counts as a row gives them; null where it gives none. */
interface Counts {
  fibers: number | null;
  tubes: number | null;
  perTube: number | null;
}

/** Why counts that are all given do not go together; null where they do. */
function contradiction({ fibers, tubes, perTube }: Counts): string | null {
  if (fibers === null || tubes === null || perTube === null || tubes * perTube === fibers)
    return null;
  return `${fibers} fibers, ${tubes} tubes, ${perTube} a tube: ${tubes} x ${perTube} is ${tubes * perTube}. Correct one of them.`;
}

/** Makes a make-up of what a row says: of counts those that are not given follow. */
function makeUpOf(kind: MakeUp['kind'], counts: Counts): MakeUp | string {
  const wrong = contradiction(counts);
  if (wrong) return wrong;
  const { tubes, perTube } = counts;
  const fibers = counts.fibers ?? (tubes !== null && perTube !== null ? tubes * perTube : null);
  switch (kind) {
    case 'drop':
      return fibers === null ? 'A drop needs its number of fibers.' : { kind, fibers };
    case 'ribbon':
      return ribbonsOf(fibers, tubes);
    case 'grouped-tube': {
      const count = tubes ?? (fibers === null ? null : fibers / (perTube ?? 24));
      if (count === null) return 'A cable needs its fibers or its tubes.';
      const groups = (perTube ?? (fibers === null ? 24 : fibers / count)) / 12;
      return Number.isInteger(count) && Number.isInteger(groups)
        ? { kind, tubes: count, groupsPerTube: groups }
        : `${fibers} fibers and ${count} tubes do not go together: groups have 12 fibers each.`;
    }
    case 'loose-tube': {
      const each = perTube ?? (fibers !== null && tubes ? fibers / tubes : 12);
      const count = tubes ?? (fibers === null ? null : Math.ceil(fibers / each));
      if (count === null) return 'A cable needs its fibers or its tubes.';
      if (!Number.isInteger(each) || (fibers !== null && count * each !== fibers))
        return `${fibers} fibers are not ${count} tubes of ${each}.`;
      return { kind, tubes: count, fibersPerTube: each };
    }
  }
}

/** Ribbons of 12 by the fibers; without them what is counted as tubes are the ribbons. */
function ribbonsOf(fibers: number | null, units: number | null): MakeUp | string {
  const ribbons = fibers === null ? units : fibers / 12;
  if (ribbons === null) return 'A ribbon cable needs its fibers or its ribbons.';
  if (!Number.isInteger(ribbons)) return `${fibers} fibers are no whole number of ribbons of 12.`;
  // Ribbons themselves, or tubes that hold whole ribbons.
  if (units !== null && ribbons % units !== 0)
    return `${fibers} fibers are ${ribbons} ribbons of 12, which do not fill ${units} tubes or ribbons evenly.`;
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
): { cables: ListedCable[]; problems: ListProblem[] } {
  const problems: ListProblem[] = [];
  if (match.name === null || (match.fibers === null && match.tubes === null)) {
    const column = match.name === null ? 'cable' : 'fibers';
    return {
      cables: [],
      problems: [
        {
          row: titlesRow,
          column,
          value: '',
          message: `Which column holds “${column}”? Title it so.`,
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
    const complain = (column: CableColumn, message: string): [] => {
      const title = match[column] === null ? CABLE_TITLES[column] : header[match[column]]!;
      problems.push({ row, column: title, value: cell(column), message });
      return [];
    };
    const name = cell('name');
    const named = cableNameSchema.safeParse(name);
    if (!named.success) return complain('name', named.error.issues[0]!.message);
    const before = names.get(name);
    if (before) return complain('name', `“${name}” stands in row ${before} already.`);
    names.set(name, row);
    if (known.has(name)) return complain('name', `The project has a cable “${name}” already.`);
    const kind = KINDS.find(([words]) => words.test(cell('kind')))?.[1];
    if (!kind) return complain('kind', 'Write loose tube, grouped tube, ribbon or drop.');
    const figures: Partial<Record<CableColumn, number | null>> = {};
    for (const column of ['fibers', 'tubes', 'perTube'] as const) {
      const text = cell(column);
      const read = text === '' ? null : readNumber(text, 'either');
      const figure = read === null ? null : read.ok ? read.value : Number.NaN;
      if (figure !== null && !(Number.isInteger(figure) && figure > 0 && figure <= MOST_FIBERS))
        return complain(column, `A whole number from 1 to ${MOST_FIBERS}.`);
      figures[column] = figure;
    }
    const made = makeUpOf(kind, {
      fibers: figures.fibers!,
      tubes: figures.tubes!,
      perTube: figures.perTube!,
    });
    const column = match.fibers === null ? 'tubes' : 'fibers';
    if (typeof made === 'string') return complain(column, made);
    const checked = makeUpSchema.safeParse(made);
    if (!checked.success) return complain(column, checked.error.issues[0]!.message);
    return [{ name, makeUp: checked.data }];
  });
  return { cables, problems };
}
