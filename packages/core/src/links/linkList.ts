import type { Stamper } from '../record/entries.ts';
import type { Table } from '../record/csv.ts';
import { cutText } from '../record/cutText.ts';
import { type LinkEntry, type LinkEntryOf, type Reference, UNCORRECTED } from '../record/link.ts';
import type { RowProblem } from '../record/rowProblem.ts';
import type { TitledTable } from '../record/titles.ts';
import type { Direction } from '../record/trace.ts';
import {
  LINK_COLUMN_TITLES,
  type LinkColumn,
  type LinkColumnMatch,
  missingLinkColumns,
} from './linkColumns.ts';
import { type MeterProblem, parseThousandths, readMeter, readReturnLoss } from './meter.ts';

/** What a list is read against. */
export interface LinkListSetting {
  projectId: string;
  cables: readonly { id: string; name: string; fibers: number }[];
  /** The cable and the direction of rows that name none. */
  cableId: string;
  direction: Direction;
  /** Names of the places at both ends of a fiber's circuit, where it begins first; null where it has no circuit. */
  endsOf(cableId: string, fiber: number): readonly [string, string] | null;
  /** The reference of rows that bring none, by wavelength. */
  references: ReadonlyMap<number, Reference>;
  stamp: Stamper;
}

export type LinkListMessage =
  | MeterProblem
  | { code: 'columnUnmatched'; title: string }
  | { code: 'cableUnknown'; name: string }
  | { code: 'fiberUnknown'; text: string; most: number }
  | { code: 'directionUnknown'; from: string; to: string }
  | { code: 'noWavelength'; text: string }
  | { code: 'noDate'; text: string }
  /** A reference needs the names of source and meter. */
  | { code: 'instrumentMissing' }
  | { code: 'nothingMeasured' };

export type LinkListProblem = RowProblem<LinkListMessage>;

/** What a list holds: entries to be recorded, references before what goes by them. */
export interface LinkList {
  entries: LinkEntry[];
  problems: LinkListProblem[];
  /** How many of them are losses, return losses, and fibers without light. */
  losses: number;
  returnLosses: number;
  dark: number;
}

/** Reads a list of link measurements: every row becomes entries, or a problem at its row and column. */
export function readLinkList(
  { rows, titlesRow }: TitledTable<Table>,
  match: LinkColumnMatch,
  setting: LinkListSetting,
): LinkList {
  const missing = missingLinkColumns(match);
  if (missing.length > 0)
    return {
      entries: [],
      losses: 0,
      returnLosses: 0,
      dark: 0,
      problems: missing.map((column) => ({
        row: titlesRow,
        column: LINK_COLUMN_TITLES[column],
        value: '',
        message: { code: 'columnUnmatched', title: LINK_COLUMN_TITLES[column] },
      })),
    };
  const reader = new LinkReader(match, setting);
  rows.forEach((cells, index) => {
    if (cells.some((cell) => cell.trim() !== '')) reader.read(cells, titlesRow + index + 1);
  });
  return reader.finish();
}

type FoundEntry = LinkEntryOf<'loss'> | LinkEntryOf<'return loss'> | LinkEntryOf<'continuity'>;

/** What a meter shows of a fiber without light: too low to read. Common practice, no source. */
const NO_LIGHT = /^(lo|low|los|no light|no power|-+ ?lo ?-+)$/i;

/** What was wrong with a row, so that the next one is read. */
class RowRefused extends Error {}

class LinkReader {
  private readonly match: LinkColumnMatch;
  private readonly setting: LinkListSetting;
  private readonly problems: LinkListProblem[] = [];
  private readonly references = new Map<string, Reference>();
  private readonly found: FoundEntry[] = [];
  private cells: readonly string[] = [];
  private row = 0;

  constructor(match: LinkColumnMatch, setting: LinkListSetting) {
    this.match = match;
    this.setting = setting;
  }

  read(cells: readonly string[], row: number): void {
    this.cells = cells;
    this.row = row;
    try {
      this.found.push(...this.entries());
    } catch (error) {
      if (!(error instanceof RowRefused)) throw error;
    }
  }

  finish(): LinkList {
    const { problems, found } = this;
    const count = (of: FoundEntry['kind']) => found.filter(({ kind }) => kind === of).length;
    return {
      entries: problems.length > 0 ? [] : [...this.references.values(), ...found],
      problems,
      losses: count('loss'),
      returnLosses: count('return loss'),
      dark: count('continuity'),
    };
  }

  private entries(): FoundEntry[] {
    const { projectId, stamp } = this.setting;
    const cable = this.cable();
    const fiber = this.fiber(cable);
    const direction = this.direction(cable.id, fiber);
    const wavelengthNm = this.wavelength();
    const common = { projectId, cableId: cable.id, fiber, direction, ...UNCORRECTED };
    const [loss, power, back] = [this.text('loss'), this.text('power'), this.text('returnLoss')];
    if (NO_LIGHT.test(loss) || NO_LIGHT.test(power))
      return [{ kind: 'continuity', ...stamp(), ...common, seen: 'none', seenFiber: null }];
    const entries: FoundEntry[] = [];
    if (loss !== '' || power !== '') {
      const reference = this.reference(wavelengthNm);
      // A power tells more than the loss that was worked out of it.
      const column = power === '' ? 'loss' : 'power';
      const read = readMeter(this.text(column), column === 'power' ? 'dBm' : 'dB', reference);
      if (!read.ok) return this.refuse(column, read.error);
      entries.push({
        kind: 'loss' as const,
        ...stamp(),
        ...common,
        referenceId: reference!.id,
        ...read.value,
      });
    }
    if (back !== '') {
      const read = readReturnLoss(back);
      if (!read.ok) return this.refuse('returnLoss', read.error);
      const lossMdb = read.value;
      const meter = this.text('meter') || this.reference(wavelengthNm)?.meter;
      if (!meter) return this.refuse('meter', { code: 'instrumentMissing' });
      entries.push({
        kind: 'return loss' as const,
        ...stamp(),
        ...common,
        wavelengthNm,
        meter,
        lossMdb,
      });
    }
    if (entries.length === 0) this.refuse('loss', { code: 'nothingMeasured' });
    return entries;
  }

  private cable() {
    const { cables, cableId } = this.setting;
    const name = this.text('cable');
    const found = cables.find((cable) =>
      name === '' ? cable.id === cableId : cable.name.toLowerCase() === name.toLowerCase(),
    );
    return found ?? this.refuse('cable', { code: 'cableUnknown', name: cutText(name, 40) });
  }

  private fiber({ fibers }: { fibers: number }): number {
    const text = this.text('fiber');
    const fiber = /^\d{1,4}$/.test(text) ? Number(text) : 0;
    if (fiber >= 1 && fiber <= fibers) return fiber;
    return this.refuse('fiber', { code: 'fiberUnknown', text: cutText(text, 40), most: fibers });
  }

  /** `AB`, `A>B`, `BA`, or the name of the place where the source is. */
  private direction(cableId: string, fiber: number): Direction {
    const text = this.text('direction');
    if (text === '') return this.setting.direction;
    const bare = text.toUpperCase().replace(/[^A-Z]/g, '');
    if (bare === 'AB' || bare === 'ATOB') return 'AB';
    if (bare === 'BA' || bare === 'BTOA') return 'BA';
    const ends = this.setting.endsOf(cableId, fiber);
    const at = ends?.findIndex((name) => name.toLowerCase() === text.toLowerCase()) ?? -1;
    if (at >= 0) return at === 0 ? 'AB' : 'BA';
    const [from, to] = ends ?? ['A', 'B'];
    return this.refuse('direction', { code: 'directionUnknown', from, to });
  }

  private wavelength(): number {
    const text = this.text('wavelength');
    const nm = Number(/^(\d{3,4})\s*(nm)?$/i.exec(text)?.[1] ?? 0);
    if (nm >= 600 && nm <= 1700) return nm;
    return this.refuse('wavelength', { code: 'noWavelength', text: cutText(text, 40) });
  }

  /** The reference that a row brings, the same one for rows alike; else the one that was taken before. */
  private reference(wavelengthNm: number): Reference | null {
    const text = this.text('reference');
    if (text === '') return this.setting.references.get(wavelengthNm) ?? null;
    const power = parseThousandths(text);
    if (!power.ok) return this.refuse('reference', power.error);
    const [source, meter] = [this.text('source'), this.text('meter')];
    if (source === '' || meter === '')
      return this.refuse(source === '' ? 'source' : 'meter', { code: 'instrumentMissing' });
    const calibratedUntil = this.date();
    const key = JSON.stringify([wavelengthNm, power.value, source, meter, calibratedUntil]);
    const known = this.references.get(key);
    if (known) return known;
    const { projectId, stamp } = this.setting;
    const fresh: Reference = {
      kind: 'reference',
      ...stamp(),
      projectId,
      source,
      meter,
      calibratedUntil,
      wavelengthNm,
      cords: 1,
      powerMdbm: power.value,
      origin: 'typed',
    };
    this.references.set(key, fresh);
    return fresh;
  }

  private date(): string | null {
    const text = this.text('calibrated');
    if (text === '') return null;
    const isDate = /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text));
    return isDate ? text : this.refuse('calibrated', { code: 'noDate', text: cutText(text, 40) });
  }

  private text(column: LinkColumn): string {
    const at = this.match[column];
    return at === null ? '' : (this.cells[at] ?? '').trim();
  }

  private refuse(column: LinkColumn, message: LinkListMessage): never {
    this.problems.push({
      row: this.row,
      column: LINK_COLUMN_TITLES[column],
      value: cutText(this.text(column), 40),
      message,
    });
    throw new RowRefused();
  }
}
