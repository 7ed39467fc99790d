import type { MakeUp } from '../record/cable.ts';
import type { Closure, Tray, TrayCapacity } from '../record/closure.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';
import { cutText } from '../record/cutText.ts';
import type { ColourScheme } from '../record/scheme.ts';
import { AT_PORT, type EndWay, type Method, liesOnTray } from '../record/splice.ts';
import type { TitledTable } from '../record/titles.ts';
import type { Table } from '../record/csv.ts';
import { placeOf } from '../fiber/address.ts';
import { type FiberProblem, dashed } from '../fiber/parse.ts';
import { parseFibers } from '../fiber/parseFibers.ts';
import type { RowProblem } from '../record/rowProblem.ts';
import type { CellProblem } from '../xlsx/readXlsx.ts';
import {
  COLUMN_TITLES,
  type ColumnMatch,
  type ListColumn,
  type ListWordProblem,
  type MethodProblem,
  readEnd,
  readLeg,
  readMethod,
  unmatchedColumns,
} from './listColumns.ts';
import { type PassedRow, meantRows } from './listRows.ts';
import {
  type Clash,
  type ClashMessage,
  type ClashPlace,
  type Placed,
  findClashes,
} from './occupancy.ts';
import { type SameNames, meantBy } from './sameNames.ts';
import { fibersASleeveOf } from './sleeves.ts';

/** A cable as a list may use it. */
export interface ListCable {
  name: string;
  makeUp: MakeUp;
  scheme: ColourScheme;
}

/** What a splice list is read against. */
export interface ListSetting {
  /** Cables known already and those described for this import. */
  cables: readonly ListCable[];
  /** Closures of the project with their splices; a list adds to them. */
  closures: readonly (Pick<Closure, 'name' | 'trays'> & { splices: readonly Placed[] })[];
  /** Capacity of trays the list is the first to name. */
  trayCapacity: TrayCapacity;
  /** How fibers are spliced where their row does not say it. */
  method: Method;
  /** Names that the list writes otherwise than they are meant. */
  sameNames: SameNames;
}

/** One splice of a list; cables and closure by name. */
export type ListSplice = Placed & { closure: string; extra: Record<string, string> };

/** What is wrong in a row of a splice list. */
export type SpliceListMessage =
  | ClashMessage
  | MethodProblem
  | ListWordProblem
  /** An end at what is no port, or a splice at a port. */
  | { code: 'endNeedsPorts' | 'portsNeedEnd'; cable: string }
  | { code: 'columnUnmatched'; title: string }
  | { code: 'tooManyRows'; rows: number; most: number }
  | { code: 'closureMissing' | 'closureNameTooLong' }
  | { code: 'unequal'; fibersA: number; cableA: string; fibersB: number; cableB: string }
  | { code: 'numberMissing'; column: 'tray' | 'slot' }
  /** A range of slots that is not as long as what is spliced takes. */
  | { code: 'slotsUnequal'; slots: number; sleeves: number }
  | { code: 'noNumber'; column: 'tray' | 'slot'; text: string }
  | { code: 'cableMissing'; side: 'A' | 'B' }
  | { code: 'noMakeUp'; cable: string }
  | { code: 'fiberProblem'; cable: string; problem: FiberProblem | { code: 'tubeFiberMissing' } };

/** A problem of a splice list at its place. */
export interface ListProblem extends RowProblem<SpliceListMessage | CellProblem> {
  /** The column of the file in which it can be fixed, from 0; null where the file has none. */
  at: number | null;
}

export interface ReadList {
  /** All of the list; none where there is a problem. */
  splices: ListSplice[];
  problems: ListProblem[];
  /** What was read of each row, in the order of the list, also where other rows have problems. */
  pairs: ReadPair[];
  /** Rows that are no splices. */
  passed: PassedRow[];
  /** Names in the order in which the list first uses them. */
  closures: string[];
  cables: string[];
  /** Trays the list is the first to name, a list for each closure. */
  newTrays: Map<string, Tray[]>;
}

/** A splice as it was read, and the row it was read from. */
export interface ReadPair {
  row: number;
  splice: ListSplice;
}

/** Most rows a list may have. */
export const MOST_ROWS = 200_000;

/**
 * Reads a splice list: every row becomes a splice, or a problem at its row and column.
 * @param table the list from its titles on
 * @param progress called now and then with the rows read
 */
export function readSpliceList(
  { header, rows, titlesRow }: TitledTable<Table>,
  match: ColumnMatch,
  setting: ListSetting,
  progress?: (rows: number) => void,
): ReadList {
  const missing = unmatchedColumns(match);
  if (missing.length > 0)
    return {
      ...nothingRead(),
      problems: missing.map((column) => missingColumn(column, titlesRow)),
    };
  if (rows.length > MOST_ROWS) return { ...nothingRead(), problems: [tooLong(rows.length)] };
  const reader = new ListReader(header, match, setting);
  const meant = meantRows(rows, match, titlesRow);
  meant.rows.forEach(({ cells, row }, index) => {
    reader.read(cells, row);
    if (progress && index % 5000 === 4999) progress(index + 1);
  });
  return { ...reader.finish(), passed: meant.passed };
}

const nothingRead = (): ReadList => ({
  splices: [],
  problems: [],
  pairs: [],
  passed: [],
  closures: [],
  cables: [],
  newTrays: new Map(),
});

const missingColumn = (column: ListColumn, row: number): ListProblem => ({
  row,
  column: COLUMN_TITLES[column],
  at: null,
  value: '',
  message: { code: 'columnUnmatched', title: COLUMN_TITLES[column] },
});

const tooLong = (rows: number): ListProblem => ({
  row: MOST_ROWS + 2,
  column: '',
  at: null,
  value: '',
  message: { code: 'tooManyRows', rows, most: MOST_ROWS },
});

/** A range of slots, as `1-12`, with or without its word. */
const SLOTS = /^((?:slots?|pos|#)?\.?\s*\d+)\s*(?:-|to|\.\.)\s*(\d+)$/i;
/** Trays and slots as people write them: a number, with or without its word. */
const COUNT = {
  tray: /^(?:tray|cassette|t|#)?\.?\s*(\d+)$/i,
  slot: /^(?:slots?|pos|s|#)?\.?\s*(\d+)$/i,
};

class ListReader {
  private readonly problems: ListProblem[] = [];
  private readonly byClosure = new Map<string, { splices: ListSplice[]; rows: number[] }>();
  private readonly cables = new Map<string, ListCable>();
  private readonly named = new Set<string>();
  private readonly header: readonly string[];
  private readonly match: ColumnMatch;
  private readonly setting: ListSetting;
  private readonly extras: { title: string; index: number }[];
  private readonly sleeveOf: (cableA: string, cableB: string) => number;
  private readonly meantClosure: (written: string) => string;
  private readonly meantCable: (written: string) => string;

  constructor(header: readonly string[], match: ColumnMatch, setting: ListSetting) {
    this.header = header;
    this.match = match;
    this.setting = setting;
    for (const cable of setting.cables) this.cables.set(cable.name, cable);
    this.sleeveOf = fibersASleeveOf(setting.cables);
    this.meantClosure = meantBy(setting.sameNames.closures);
    this.meantCable = meantBy(setting.sameNames.cables);
    const used = new Set(Object.values(match));
    const bare = header.map((title) => title.trim());
    this.extras = bare
      .map((title, index) => ({
        // Of two columns with one title neither may take the other's place.
        title: title === '' || bare.indexOf(title) < index ? `${title} column ${index + 1}` : title,
        index,
      }))
      .map(({ title, index }) => ({ title: title.trim(), index }))
      .filter(({ index }) => !used.has(index));
  }

  read(cells: readonly string[], row: number): void {
    const before = this.problems.length;
    const cell = (column: ListColumn) => (cells[this.match[column] ?? -1] ?? '').trim();
    const closure = this.meantClosure(cell('closure'));
    if (closure === '') this.complain(row, 'closure', '', { code: 'closureMissing' });
    if (closure.length > 80) this.complain(row, 'closure', closure, { code: 'closureNameTooLong' });
    const end = this.take(readEnd(cell('end')), row, 'end', cell('end'));
    const [legA, legB] = (['legA', 'legB'] as const).map((leg) =>
      this.take(readLeg(cell(leg)), row, leg, cell(leg)),
    );
    const least = liesOnTray(end) ? 1 : AT_PORT;
    const tray = this.count(cell('tray'), row, 'tray', least);
    const range = SLOTS.exec(dashed(cell('slot')));
    const slot = this.count(range ? range[1]! : cell('slot'), row, 'slot', 1);
    const last = range ? this.count(range[2]!, row, 'slot', 1) : slot;
    const method = this.take(this.method(cell('method')), row, 'method', cell('method'));
    const [cableA, cableB] = [this.meantCable(cell('cableA')), this.meantCable(cell('cableB'))];
    const a = this.fibers(cableA, cell('tubeA'), cell('fiberA'), row, 'A');
    const b = this.fibers(cableB, cell('tubeB'), cell('fiberB'), row, 'B');
    if (this.problems.length === before) this.checkEnd(cableB, end, row);
    if (this.problems.length > before) return;
    if (a!.length !== b!.length)
      return this.complain(row, 'fiberB', cell('fiberB'), {
        code: 'unequal',
        fibersA: a!.length,
        cableA,
        fibersB: b!.length,
        cableB,
      });
    const size = method === 'mass' ? this.sleeveOf(cableA, cableB) : 1;
    const [slots, sleeves] = [last! - slot! + 1, Math.ceil(a!.length / size)];
    if (range && slots !== sleeves)
      return this.complain(row, 'slot', cell('slot'), { code: 'slotsUnequal', slots, sleeves });
    let group = this.byClosure.get(closure);
    if (!group) this.byClosure.set(closure, (group = { splices: [], rows: [] }));
    for (const [index, fiberA] of a!.entries()) {
      group.splices.push({
        closure,
        tray: tray!,
        // Single fibers of a range take a slot each, from the one that is named; a ribbon shares its slot.
        slot: slot! + Math.floor(index / size),
        cableA,
        fiberA,
        legA: legA!,
        cableB,
        fiberB: b![index]!,
        legB: legB!,
        method: method!,
        end,
        extra: this.extra(cells),
      });
      group.rows.push(row);
    }
  }

  private checkEnd(cableB: string, end: EndWay | null, row: number): void {
    const cable = this.cables.get(cableB);
    if (!cable || (cable.makeUp.kind === 'ports') === (end !== null)) return;
    this.complain(row, 'end', end ?? '', {
      code: end ? 'endNeedsPorts' : 'portsNeedEnd',
      cable: cableB,
    });
  }

  finish(): Omit<ReadList, 'passed'> {
    const newTrays = new Map<string, Tray[]>();
    const pairs: ReadPair[] = [];
    for (const [name, group] of this.byClosure) {
      const known = this.setting.closures.find((closure) => closure.name === name);
      const trays = [...(known?.trays ?? [])];
      const numbers = new Set(trays.map((tray) => tray.number));
      const added: Tray[] = [];
      for (const number of new Set(group.splices.map((splice) => splice.tray))) {
        if (number !== AT_PORT && !numbers.has(number))
          added.push({ number, ...this.setting.trayCapacity });
      }
      newTrays.set(
        name,
        added.sort((one, other) => one.number - other.number),
      );
      const before = known?.splices ?? [];
      const placed = [...before, ...group.splices];
      const where = (index: number): ClashPlace =>
        index < before.length
          ? { code: 'project' }
          : { code: 'row', row: group.rows[index - before.length]! };
      for (const clash of findClashes(
        placed,
        [...trays, ...added],
        where,
        (cable) => cable,
        this.sleeveOf,
      )) {
        if (clash.index >= before.length)
          this.clash(clash, placed[clash.index]!, group.rows[clash.index - before.length]!);
      }
      group.splices.forEach((splice, index) => pairs.push({ splice, row: group.rows[index]! }));
    }
    this.problems.sort((one, other) => one.row - other.row);
    return {
      splices: this.problems.length > 0 ? [] : pairs.map(({ splice }) => splice),
      pairs: pairs.sort((one, other) => one.row - other.row),
      problems: this.problems,
      closures: [...this.byClosure.keys()],
      cables: [...this.named],
      newTrays,
    };
  }

  private clash(clash: Clash, splice: Placed, row: number): void {
    this.complain(row, clash.column, String(splice[clash.column]), clash.message);
  }

  private complain(
    row: number,
    column: ListColumn,
    value: string,
    message: SpliceListMessage,
  ): void {
    this.problems.push({
      row,
      column: this.header[this.match[column] ?? -1] || COLUMN_TITLES[column],
      at: this.match[column],
      value: cutText(value, 80),
      message,
    });
  }

  private take<T>(
    outcome: Parsed<T, SpliceListMessage>,
    row: number,
    column: ListColumn,
    value: string,
  ): T | null {
    if (outcome.ok) return outcome.value;
    this.complain(row, column, value, outcome.error);
    return null;
  }

  private count(text: string, row: number, column: 'tray' | 'slot', least: number): number | null {
    const digits = COUNT[column].exec(text)?.[1];
    const value = digits === undefined ? Number.NaN : Number(digits);
    if (value >= least && value <= 200) return value;
    this.complain(
      row,
      column,
      text,
      text === ''
        ? { code: 'numberMissing', column }
        : { code: 'noNumber', column, text: cutText(text, 40) },
    );
    return null;
  }

  private method(text: string): Parsed<Method, MethodProblem> {
    return text === '' ? parsed(this.setting.method) : readMethod(text);
  }

  private fibers(
    name: string,
    tube: string,
    text: string,
    row: number,
    side: 'A' | 'B',
  ): number[] | null {
    if (name === '') {
      this.complain(row, `cable${side}`, name, { code: 'cableMissing', side });
      return null;
    }
    this.named.add(name);
    const cable = this.cables.get(name);
    if (!cable) {
      this.complain(row, `cable${side}`, name, { code: 'noMakeUp', cable: name });
      return null;
    }
    const fibers =
      tube === '' ? parseFibers(text, cable.makeUp, cable.scheme) : inTube(tube, text, cable);
    if (fibers.ok) return fibers.value;
    const message = { code: 'fiberProblem', cable: name, problem: fibers.error } as const;
    this.complain(row, `fiber${side}`, text, message);
    return null;
  }

  private extra(cells: readonly string[]): Record<string, string> {
    return Object.fromEntries(
      this.extras.flatMap(({ title, index }) => {
        const value = cells[index];
        return value === undefined || value === '' ? [] : [[title, value]];
      }),
    );
  }
}

/** Fibers whose tube stands in a column of its own: counted in the tube, or through the cable and in that tube. */
function inTube(
  tube: string,
  text: string,
  { makeUp, scheme }: ListCable,
): Parsed<number[], FiberProblem | { code: 'tubeFiberMissing' }> {
  if (text === '') return refused({ code: 'tubeFiberMissing' });
  const place = parseFibers(`${tube}/${text}`, makeUp, scheme);
  if (place.ok) return place;
  const through = parseFibers(text, makeUp, scheme);
  const first = parseFibers(`${tube}/1`, makeUp, scheme);
  if (!through.ok || !first.ok) return place;
  const unitOf = (fiber: number) => placeOf(makeUp, fiber).unit?.number;
  const unit = unitOf(first.value[0]!);
  return through.value.every((fiber) => unitOf(fiber) === unit) ? through : place;
}
