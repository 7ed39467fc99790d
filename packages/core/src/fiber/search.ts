import type { Cable } from '../record/cable.ts';
import { fiberCount } from '../record/cable.ts';
import type { ColourScheme } from '../record/scheme.ts';
import { type FiberAddress, addressOf } from './address.ts';
import { parseFibers } from './parseFibers.ts';
import { placeOfColour } from './schemes.ts';

/** What a search line asks for. */
export interface SearchQuery {
  tray: number | null;
  /** Words looked for in names, in small letters. */
  text: string[];
  /** Numbers of the fibers that are asked for, by the id of their cable; null where nothing is asked of fibers. */
  fibers: Map<string, number[]> | null;
}

const TRAY = /\btray\s*(\d+)\b/i;

/**
 * Reads a search line as forms, plans and lists read fibers (`A 100`, `7/12`, `7-12`, `T7 F12`, `A BL/OR`), and
 * beyond that parts of them: a color alone, a tube, a tray, words of names.
 */
export function readSearch(
  line: string,
  cables: readonly Cable[],
  schemes: ReadonlyMap<string, ColourScheme>,
): SearchQuery {
  const schemeOf = (cable: Cable) => schemes.get(cable.schemeId);
  const tray = TRAY.exec(line);
  const fibers = namedFibers(line.replace(TRAY, ' ').trim(), cables, schemeOf);
  if (fibers) return { tray: tray ? Number(tray[1]) : null, text: [], fibers };
  const query = readQuery(
    line,
    cables.map(({ name }) => name),
    [...schemes.values()],
  );
  const { text } = query;
  if (!asksFiber(query)) return { tray: query.tray, text, fibers: null };
  const matching = cables.map((cable) => {
    const scheme = schemeOf(cable);
    return [cable.id, scheme ? matchingFibers(query, cable, scheme) : []] as const;
  });
  return { tray: query.tray, text, fibers: new Map(matching) };
}

/** The fibers that a text names in full, of the cable it begins with or of every cable; null where it names none. */
function namedFibers(
  text: string,
  cables: readonly Cable[],
  schemeOf: (cable: Cable) => ColourScheme | undefined,
): Map<string, number[]> | null {
  // The longest name is meant: cable A of a project that also has A 2.
  const named = cables
    .filter(({ name }) => new RegExp(`^${escaped(name)}(?=$|[\\s,:])`, 'i').test(text))
    .sort((a, b) => b.name.length - a.name.length)[0];
  const rest = named ? text.slice(named.name.length).replace(/^[\s,:]+/, '') : text;
  // A name of several words is no search for its words.
  if (rest === '' && named && /\s/.test(named.name)) return new Map([[named.id, all(named)]]);
  // A color alone may be a fiber's or its tube's.
  if (rest === '' || /^\p{L}+$/u.test(rest)) return null;
  const found = (named ? [named] : cables.filter(hasUnitsOf(rest))).flatMap((cable) => {
    const scheme = schemeOf(cable);
    const read = scheme && parseFibers(rest, cable.makeUp, scheme);
    return read?.ok ? [[cable.id, read.value] as const] : [];
  });
  return found.length > 0 ? new Map(found) : null;
}

const all = ({ makeUp }: Cable): number[] =>
  Array.from({ length: fiberCount(makeUp) }, (_, index) => index + 1);

/** Whether a cable has what a text begins with: only places with ports have ports, and they have no tubes. */
function hasUnitsOf(text: string): (cable: Cable) => boolean {
  const word = /^(ports?|p|tubes?|t|ribbons?|rib|r)\s*\d/i.exec(text)?.[1]?.toLowerCase();
  if (word === undefined) return () => true;
  return ({ makeUp }) => (makeUp.kind === 'ports') === word.startsWith('p');
}

const escaped = (name: string): string => name.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Parts of what a person looks for: `tube 9`, `brown`, `tray 4 ribbon 2`. */
interface FiberQuery {
  cable: string | null;
  number: number | null;
  unit: number | null;
  tray: number | null;
  /** A color word; whether it names a color depends on each cable's scheme. */
  colour: string | null;
  /** Words that are none of these, looked for in names. */
  text: string[];
}

/**
 * Reads a search line.
 * @param cables the names that count as cables, compared without case
 */
function readQuery(
  line: string,
  cables: readonly string[],
  schemes: readonly ColourScheme[],
): FiberQuery {
  const query: FiberQuery = {
    cable: null,
    number: null,
    unit: null,
    tray: null,
    colour: null,
    text: [],
  };
  const words = line
    .trim()
    .split(/[\s,;]+/)
    .filter(Boolean);
  for (let index = 0; index < words.length; index++) {
    const word = words[index]!;
    const next = words[index + 1];
    const named = /^(tube|ribbon|tray|fiber|t|r|f)(\d+)?$/i.exec(word);
    const value = named?.[2] ?? (named && next && /^\d+$/.test(next) ? next : undefined);
    if (named && value !== undefined) {
      const field = named[1]!.toLowerCase();
      if (field === 'tray') query.tray = Number(value);
      else if (field.startsWith('f')) query.number = Number(value);
      else query.unit = Number(value);
      if (named[2] === undefined) index++;
      continue;
    }
    const cable = cables.find((name) => name.toLowerCase() === word.toLowerCase());
    if (cable !== undefined && query.cable === null) query.cable = cable;
    else if (/^\d+$/.test(word) && query.number === null) query.number = Number(word);
    else if (
      query.colour === null &&
      schemes.some((scheme) => placeOfColour(scheme, word) !== null)
    )
      query.colour = word;
    else query.text.push(word.toLowerCase());
  }
  return query;
}

/** Whether a query asks anything of fibers, beyond trays and names. */
const asksFiber = (query: FiberQuery): boolean =>
  query.cable !== null || query.number !== null || query.unit !== null || query.colour !== null;

/** Whether one fiber of one cable answers the fiber part of a query. */
function fiberMatches(
  query: FiberQuery,
  cableName: string,
  address: FiberAddress,
  scheme: ColourScheme,
): boolean {
  if (query.cable !== null && query.cable !== cableName) return false;
  if (query.number !== null && query.number !== address.number) return false;
  if (query.unit !== null && query.unit !== address.place.unit?.number) return false;
  if (query.colour === null) return true;
  const place = placeOfColour(scheme, query.colour);
  if (place === null) return false;
  const wanted = scheme.colours[place - 1];
  // With a tube named, the color is the fiber's; alone it may be either's.
  if (address.fiber.colour === wanted) return true;
  return query.unit === null && address.tube?.colour === wanted;
}

/** The numbers of a cable's fibers that answer a query. */
function matchingFibers(query: FiberQuery, cable: Cable, scheme: ColourScheme): number[] {
  if (query.cable !== null && query.cable !== cable.name) return [];
  const numbers: number[] = [];
  for (let number = 1; number <= fiberCount(cable.makeUp); number++) {
    if (fiberMatches(query, cable.name, addressOf(cable.makeUp, scheme, number), scheme))
      numbers.push(number);
  }
  return numbers;
}
