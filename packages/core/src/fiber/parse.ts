import { type MakeUp, fiberCount } from '../record/cable.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';
import type { ColourScheme } from '../record/scheme.ts';
import { type FiberPlace, numberOf, placeOf, unitSize } from './address.ts';
import { placeOfColour } from './schemes.ts';

type Field = 'unit' | 'group' | 'fiber';

/** One word of an address: a number or a colour's place, and the part it was said to be. */
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
export function parseFiber(text: string, makeUp: MakeUp, scheme: ColourScheme): Parsed<number> {
  const range = /(\d+)\s*-\s*(\d+)\s*$/.exec(dashed(text));
  if (range) {
    const [, from, to] = range;
    return refused(
      `${from}-${to} is a range of fibers: write one fiber. A slash is for tube ${from}, fiber ${to}: ${from}/${to}.`,
    );
  }
  if (/-\s*$/.test(dashed(text))) return refused('A number is missing at the end.');
  const words = readWords(text, scheme);
  if (!words.ok) return words;
  const list = words.value;
  const only = list[0];
  if (!only) return refused(`Name a fiber: ${examples(makeUp)}.`);
  if (list.length === 1 && !only.colour && only.field !== 'unit' && only.field !== 'group') {
    return within(only.value, makeUp);
  }
  const parts = assign(list, makeUp);
  return parts.ok ? placed(parts.value, makeUp) : parts;
}

/** The text with every dash as a hyphen. */
export const dashed = (text: string): string => text.replace(/[\u2010-\u2015\u2212]/g, '-');

function readWords(text: string, scheme: ColourScheme): Parsed<Word[]> {
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
      const known = scheme.colours.map((entry) => entry.name).join(', ');
      return refused(`“${token}” is no colour of the ${scheme.name}: ${known}.`);
    }
  }
  if (field !== null) return refused('A number or a colour is missing at the end.');
  return parsed(words);
}

interface Parts {
  unit: number | null;
  group: number | null;
  position: number;
}

function assign(words: Word[], makeUp: MakeUp): Parsed<Parts> {
  const order: Field[] =
    makeUp.kind === 'grouped-tube'
      ? ['unit', 'group', 'fiber']
      : makeUp.kind === 'drop'
        ? ['fiber']
        : ['unit', 'fiber'];
  const parts: Partial<Record<Field, number>> = {};
  const free = order.filter((field) => !words.some((word) => word.field === field));
  const loose = words.filter((word) => word.field === null);
  // With one word fewer than parts, the last words are meant: a colour alone is a position.
  const skip = Math.max(0, free.length - loose.length);
  const single = unitsOf(makeUp) === 1;
  for (const word of words) {
    const field = word.field ?? free[skip + loose.indexOf(word)];
    if (!field || !order.includes(field) || parts[field] !== undefined) {
      return refused(`“${word.text}” has no place in this cable: write ${examples(makeUp)}.`);
    }
    parts[field] = word.value;
  }
  if (parts.fiber === undefined) return refused(`The fiber is missing: write ${examples(makeUp)}.`);
  if (order.includes('unit') && parts.unit === undefined && !single) {
    return refused(`Say the ${unitName(makeUp)} too: ${examples(makeUp)}.`);
  }
  if (order.includes('group') && parts.group === undefined) {
    return refused(`Say the group too, or the groups cannot be told apart: ${examples(makeUp)}.`);
  }
  return parsed({
    unit: order.includes('unit') ? (parts.unit ?? 1) : null,
    group: parts.group ?? null,
    position: parts.fiber,
  });
}

function placed(parts: Parts, makeUp: MakeUp): Parsed<number> {
  const units = unitsOf(makeUp);
  if (parts.unit !== null && (parts.unit < 1 || parts.unit > units)) {
    return refused(
      `${capital(unitName(makeUp))} ${parts.unit} is outside the cable: it has ${unitName(makeUp)}s 1 to ${units}.`,
    );
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
    const holder = parts.unit !== null ? `${unitName(makeUp)} ${parts.unit}` : 'the cable';
    const group = parts.group === null ? '' : `group ${parts.group}, `;
    return refused(
      `${capital(holder)} has no fiber at ${group}position ${parts.position}: it holds ${unitSize(makeUp)}.`,
    );
  }
}

function within(number: number, makeUp: MakeUp): Parsed<number> {
  const most = fiberCount(makeUp);
  if (number >= 1 && number <= most) return parsed(number);
  return refused(`Fiber ${number} is outside the cable: it has fibers 1 to ${most}.`);
}

const unitsOf = (makeUp: MakeUp): number => fiberCount(makeUp) / unitSize(makeUp);
const unitName = (makeUp: MakeUp): string => (makeUp.kind === 'ribbon' ? 'ribbon' : 'tube');
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function examples(makeUp: MakeUp): string {
  switch (makeUp.kind) {
    case 'loose-tube':
      return '“100”, “9/4” or “tube 9 brown”';
    case 'grouped-tube':
      return '“100”, “5/1/4” or “tube 5 group 1 brown”';
    case 'ribbon':
      return '“28”, “3/4” or “ribbon 3 brown”';
    case 'drop':
      return '“4” or “brown”';
  }
}
