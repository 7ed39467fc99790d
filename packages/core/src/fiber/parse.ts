import {
  type MakeUp,
  type Ports,
  type Splitter,
  fiberCount,
  inputOf,
  portSize,
} from '../record/cable.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';
import type { ColourScheme } from '../record/scheme.ts';
import { type FiberPlace, numberOf, placeOf, unitSize } from './address.ts';
import { placeOfColour } from './schemes.ts';

/** Why a fiber, or fibers, cannot be read in a cable. */
export type FiberProblem =
  /** Two numbers with a dash; a slash is for a place. */
  | { code: 'rangeOfFibers'; from: string; to: string }
  | { code: 'numberMissing' | 'colourMissing' }
  | { code: 'nameFiber' | 'fiberMissing' | 'groupMissing'; cable: MakeUp['kind'] }
  | { code: 'unitMissing'; unit: UnitKind; cable: MakeUp['kind'] }
  | { code: 'noColour'; text: string; scheme: string; colours: readonly string[] }
  | { code: 'noPlace'; text: string; cable: MakeUp['kind'] }
  | { code: 'unitOutside'; unit: UnitKind; number: number; most: number }
  | { code: 'fiberOutside'; number: number; most: number }
  /** `number` of the tube or ribbon, 0 for a cable without; `group` 0 likewise. */
  | {
      code: 'positionOutside';
      unit: UnitKind;
      number: number;
      group: number;
      position: number;
      most: number;
    }
  | { code: 'fiberTwice'; number: number }
  | { code: 'rangeBackwards'; prefix: string; from: number | string; to: number | string }
  | { code: 'unitsBackwards'; unit: UnitKind; from: number; to: number };

export type UnitKind = 'tube' | 'ribbon' | 'port' | 'output';

type Field = 'unit' | 'group' | 'fiber';

/** One word of an address: a number or a color's place, and the part it was said to be. */
interface Word {
  value: number;
  colour: boolean;
  field: Field | null;
  text: string;
}

const FIELDS: ReadonlyMap<string, Field> = new Map(
  Object.entries({
    tube: 'unit',
    t: 'unit',
    ribbon: 'unit',
    rib: 'unit',
    r: 'unit',
    group: 'group',
    binder: 'group',
    g: 'group',
    fiber: 'fiber',
    fibre: 'fiber',
    f: 'fiber',
  } as const),
);

/**
 * Reads a fiber as people write it, for one cable; a slash is a place (`7/12`), a dash a range, which is no fiber: `100`, `fiber 100`, `T9 F4`, `9/4`, `tube 9 brown`,
 * `yellow/brown`, `ribbon 3 aqua`, `tube 5 group 1 brown`, `5/1/4`, `brown tracer`.
 * @returns the fiber's number in the cable
 */
export function parseFiber(
  text: string,
  makeUp: MakeUp,
  scheme: ColourScheme,
): Parsed<number, FiberProblem> {
  const range = /(\d+)\s*-\s*(\d+)\s*$/.exec(dashed(text));
  if (range) {
    const [, from, to] = range as unknown as [string, string, string];
    return refused({ code: 'rangeOfFibers', from, to });
  }
  if (/-\s*$/.test(dashed(text))) return refused({ code: 'numberMissing' });
  if (makeUp.kind === 'splitter' || makeUp.kind === 'ports') return deviceFiber(text, makeUp);
  const words = readWords(text, scheme);
  if (!words.ok) return words;
  const list = words.value;
  const only = list[0];
  if (!only) return refused({ code: 'nameFiber', cable: makeUp.kind });
  if (list.length === 1 && !only.colour && only.field !== 'unit' && only.field !== 'group') {
    return within(only.value, makeUp);
  }
  const parts = assign(list, makeUp);
  return parts.ok ? placed(parts.value, makeUp) : parts;
}

const OUTPUT = /^(?:out(?:put)?s?\s*)?(\d+)$/i;
const PORT = /^(?:p|ports?)\s*(\d+)(?:\s*(?:\/|position)\s*(\d+))?$/i;

/**
 * A fiber of a splitter: `in`, `out 3` or the output's number. A fiber behind a port: `port 3`, in an array
 * `port 3 position 5` or `port 3/5`; a number alone is the fiber's.
 */
function deviceFiber(text: string, makeUp: Splitter | Ports): Parsed<number, FiberProblem> {
  const plain = text.trim();
  const cable = makeUp.kind;
  if (plain === '') return refused({ code: 'nameFiber', cable });
  if (makeUp.kind === 'splitter') {
    // By its number a list names it as it was exported.
    if (/^in(put)?$/i.test(plain) || plain === String(inputOf(makeUp)))
      return parsed(inputOf(makeUp));
    const output = OUTPUT.exec(plain);
    if (!output) return refused({ code: 'noPlace', text: plain, cable });
    const number = Number(output[1]);
    return number >= 1 && number <= makeUp.outputs
      ? parsed(number)
      : refused({ code: 'unitOutside', unit: 'output', number, most: makeUp.outputs });
  }
  const port = PORT.exec(plain);
  if (!port) {
    return /^\d+$/.test(plain)
      ? within(Number(plain), makeUp)
      : refused({ code: 'noPlace', text: plain, cable });
  }
  const [number, position] = [Number(port[1]), Number(port[2] ?? 1)];
  const size = portSize(makeUp);
  if (number < 1 || number > makeUp.ports)
    return refused({ code: 'unitOutside', unit: 'port', number, most: makeUp.ports });
  if (position < 1 || position > size)
    return refused({
      code: 'positionOutside',
      unit: 'port',
      number,
      group: 0,
      position,
      most: size,
    });
  return parsed((number - 1) * size + position);
}

/** The text with every dash as a hyphen. */
export const dashed = (text: string): string => text.replace(/[\u2010-\u2015\u2212]/g, '-');

function readWords(text: string, scheme: ColourScheme): Parsed<Word[], FiberProblem> {
  const tokens = text.toLowerCase().match(/[a-z]+|\d+(?:[.,]\d+)?|[^\sa-z\d]/g) ?? [];
  const words: Word[] = [];
  let field: Field | null = null;
  for (const token of tokens) {
    if (/^[/\-,;:#.|]$/.test(token)) continue;
    if (/^\d+$/.test(token)) {
      words.push({ value: Number(token), colour: false, field, text: token });
      field = null;
      continue;
    }
    if (/^\d+[.,]\d+$/.test(token)) {
      // "9.4" and "9,4" are tube and position, not a decimal.
      for (const half of token.split(/[.,]/))
        words.push({ value: Number(half), colour: false, field: null, text: half });
      continue;
    }
    const last = words.at(-1);
    if ((token === 'tracer' || token === 'ring') && last?.colour) {
      last.value += scheme.colours.length;
      continue;
    }
    const colour = placeOfColour(scheme, token);
    if (colour !== null) {
      words.push({ value: colour, colour: true, field, text: token });
      field = null;
    } else if (FIELDS.has(token)) {
      field = FIELDS.get(token)!;
    } else {
      const colours = scheme.colours.map((entry) => entry.name);
      return refused({ code: 'noColour', text: token, scheme: scheme.name, colours });
    }
  }
  if (field !== null) return refused({ code: 'colourMissing' });
  return parsed(words);
}

interface Parts {
  unit: number | null;
  group: number | null;
  position: number;
}

function assign(words: Word[], makeUp: MakeUp): Parsed<Parts, FiberProblem> {
  const order: Field[] =
    makeUp.kind === 'grouped-tube'
      ? ['unit', 'group', 'fiber']
      : makeUp.kind === 'drop'
        ? ['fiber']
        : ['unit', 'fiber'];
  const parts: Partial<Record<Field, number>> = {};
  const free = order.filter((field) => !words.some((word) => word.field === field));
  const loose = words.filter((word) => word.field === null);
  // With one word fewer than parts, the last words are meant: a color alone is a position.
  const skip = Math.max(0, free.length - loose.length);
  const single = unitsOf(makeUp) === 1;
  for (const word of words) {
    const field = word.field ?? free[skip + loose.indexOf(word)];
    if (!field || !order.includes(field) || parts[field] !== undefined) {
      return refused({ code: 'noPlace', text: word.text, cable: makeUp.kind });
    }
    parts[field] = word.value;
  }
  const cable = makeUp.kind;
  if (parts.fiber === undefined) return refused({ code: 'fiberMissing', cable });
  if (order.includes('unit') && parts.unit === undefined && !single) {
    return refused({ code: 'unitMissing', unit: unitKind(makeUp), cable });
  }
  if (order.includes('group') && parts.group === undefined) {
    return refused({ code: 'groupMissing', cable });
  }
  return parsed({
    unit: order.includes('unit') ? (parts.unit ?? 1) : null,
    group: parts.group ?? null,
    position: parts.fiber,
  });
}

function placed(parts: Parts, makeUp: MakeUp): Parsed<number, FiberProblem> {
  const unit = unitKind(makeUp);
  const units = unitsOf(makeUp);
  if (parts.unit !== null && (parts.unit < 1 || parts.unit > units)) {
    return refused({ code: 'unitOutside', unit, number: parts.unit, most: units });
  }
  const first = placeOf(makeUp, 1);
  const place: FiberPlace = {
    unit: first.unit && parts.unit !== null ? { kind: first.unit.kind, number: parts.unit } : null,
    group: parts.group,
    position: parts.position,
  };
  try {
    return parsed(numberOf(makeUp, place));
  } catch {
    return refused({
      code: 'positionOutside',
      unit,
      number: parts.unit ?? 0,
      group: parts.group ?? 0,
      position: parts.position,
      most: unitSize(makeUp),
    });
  }
}

function within(number: number, makeUp: MakeUp): Parsed<number, FiberProblem> {
  const most = fiberCount(makeUp);
  if (number >= 1 && number <= most) return parsed(number);
  return refused({ code: 'fiberOutside', number, most });
}

const unitsOf = (makeUp: MakeUp): number => fiberCount(makeUp) / unitSize(makeUp);

export const unitKind = ({ kind }: MakeUp): UnitKind =>
  kind === 'ribbon'
    ? 'ribbon'
    : kind === 'ports'
      ? 'port'
      : kind === 'splitter'
        ? 'output'
        : 'tube';
