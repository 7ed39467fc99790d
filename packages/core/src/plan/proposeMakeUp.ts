import { dashed } from '../fiber/parse.ts';
import { placeOfColour } from '../fiber/schemes.ts';
import type { MakeUp } from '../record/cable.ts';
import type { ColourScheme } from '../record/scheme.ts';
import type { Method } from '../record/splice.ts';
import { type ColumnMatch, type ListColumn, readMethod } from './listColumns.ts';
import { type SameNames, meantBy } from './sameNames.ts';

/** A cable as far as a list tells of it. */
export interface NamedCable {
  name: string;
  /** The highest plain fiber number, 0 where fibers are written otherwise. */
  highest: number;
  /** The highest tube or ribbon that is named by number or color, 0 where none is. */
  units: number;
  /** Whether it is spliced as ribbons. */
  ribbon: boolean;
}

/** How a list is looked through for its cables. */
export interface CableTask {
  match: ColumnMatch;
  /** How fibers are spliced where their row does not say it. */
  method: Method;
  /** By whose order colors of tubes count. */
  scheme: ColourScheme;
  /** Names that are written otherwise than the cable is called. */
  sameNames: SameNames;
}

/** The cables a list names, with what it tells of each, so that a make-up can be proposed. */
export function cablesOfList(
  rows: readonly (readonly string[])[],
  { match, method, scheme, sameNames }: CableTask,
): NamedCable[] {
  const found = new Map<string, NamedCable>();
  const meant = meantBy(sameNames.cables);
  for (const cells of rows) {
    const cell = (column: ListColumn) => (cells[match[column] ?? -1] ?? '').trim();
    const said = readMethod(cell('method'));
    const mass = (said.ok ? said.value : method) === 'mass';
    for (const side of ['A', 'B'] as const) {
      if (cell(`cable${side}`) === '') continue;
      const name = meant(cell(`cable${side}`));
      const entry = found.get(name) ?? { name, highest: 0, units: 0, ribbon: false };
      const text = cell(`fiber${side}`);
      const plain = /^(?:\d{1,5}\s*-\s*)?(\d{1,5})$/.exec(dashed(text));
      entry.highest = Math.max(entry.highest, plain ? Number(plain[1]) : 0);
      const tube = unitOf(cell(`tube${side}`), scheme, 1);
      entry.units = Math.max(entry.units, tube, plain ? 0 : unitOf(text, scheme, 2));
      entry.ribbon ||= mass;
      found.set(name, entry);
    }
  }
  return [...found.values()];
}

const UNIT_WORDS = ['tube', 't', 'ribbon', 'rib', 'r'];

/**
 * The tube or ribbon that a text begins with, by number or color; 0 where it names none.
 * @param least words there must be: a fiber's own comes behind its tube's
 */
function unitOf(text: string, scheme: ColourScheme, least: number): number {
  const words = (text.toLowerCase().match(/[a-z]+|\d+/g) ?? []).filter(
    (word) => !UNIT_WORDS.includes(word),
  );
  const marked = /^(tracer|ring)$/.test(words[1] ?? '');
  if (words.length - Number(marked) < least) return 0;
  const [first] = words;
  if (/^\d{1,3}$/.test(first!)) return Number(first);
  const place = placeOfColour(scheme, first!);
  return place === null ? 0 : place + (marked ? scheme.colours.length : 0);
}

/** A likely make-up for a cable that a list names: the smallest of twelves that holds it. */
export function proposeMakeUp({ highest, units, ribbon }: Omit<NamedCable, 'name'>): MakeUp {
  const count = Math.max(1, units, Math.ceil(highest / 12));
  if (ribbon) return { kind: 'ribbon', ribbons: count };
  if (units === 0 && highest <= 12) return { kind: 'drop', fibers: 12 };
  return { kind: 'loose-tube', tubes: count, fibersPerTube: 12 };
}
