import type { Direction } from '../../record/trace.ts';

/** What a file's name tells of its trace; null where it does not. */
export interface NameFacts {
  cable: string | null;
  fiber: number | null;
  /** As it stands in the name, such as AB or the name of an end. */
  direction: string | null;
  wavelengthNm: number | null;
}

/** Parts of a pattern. Everything else stands for itself; `*` for any letters and figures. */
export const NAME_PARTS = ['{cable}', '{fiber}', '{dir}', '{nm}', '*'] as const;

const USUAL_WAVELENGTHS = new Set([850, 1300, 1310, 1383, 1490, 1550, 1577, 1625, 1650]);

const stemOf = (name: string): string =>
  name.replace(/^.*[\\/]/, '').replace(/\.[A-Za-z0-9]{1,4}$/, '');

const SOURCES: Record<string, string> = {
  '{cable}': '([A-Za-z0-9]+?)',
  '{fiber}': '0*(\\d{1,4})',
  '{dir}': '([A-Za-z]+|[A-Za-z0-9]+)',
  '{nm}': '(\\d{3,4})(?:nm)?',
  '*': '[A-Za-z0-9]*?',
};

/**
 * Reads a file's name by a pattern such as `{cable}{fiber}_{dir}_{nm}`.
 * @returns null where the name does not fit the pattern
 */
export function readName(pattern: string, name: string): NameFacts | null {
  const keys: string[] = [];
  const source = pattern
    .split(/(\{cable\}|\{fiber\}|\{dir\}|\{nm\}|\*)/)
    .map((part) => {
      const known = SOURCES[part];
      if (known && part !== '*') keys.push(part);
      return known ?? part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
    })
    .join('');
  const found = new RegExp(`^${source}$`, 'i').exec(stemOf(name));
  if (!found) return null;
  const value = (key: string): string | null => {
    const index = keys.indexOf(key);
    return index < 0 ? null : (found[index + 1] ?? null);
  };
  const number = (key: string): number | null => {
    const text = value(key);
    return text === null ? null : Number(text);
  };
  return {
    cable: value('{cable}'),
    fiber: number('{fiber}'),
    direction: value('{dir}'),
    wavelengthNm: number('{nm}'),
  };
}

interface Token {
  kind: 'word' | 'number' | 'mark';
  text: string;
}

const tokensOf = (stem: string): Token[] =>
  [...stem.matchAll(/[A-Za-z]+|\d+|[^A-Za-z0-9]+/g)].map(([text]) => ({
    kind: /^\d/.test(text) ? 'number' : /^[A-Za-z]/.test(text) ? 'word' : 'mark',
    text,
  }));

const DIRECTIONS = /^(ab|ba|a|b|fwd|rev|forward|backward|east|west|north|south|in|out|e|w|n|s)$/i;

/**
 * Proposes a pattern for a folder of names: which figure is the wavelength, which counts fibers, which
 * word is the direction or the cable. A person confirms it on a preview.
 * @param cables names of the project's cables
 * @returns null where the names have no shape in common
 */
export function proposePattern(names: readonly string[], cables: readonly string[]): string | null {
  const shapes = new Map<string, Token[][]>();
  for (const name of names) {
    const tokens = tokensOf(stemOf(name));
    const shape = tokens
      .map(({ kind, text }) => (kind === 'mark' ? text : kind === 'number' ? '0' : 'a'))
      .join('');
    shapes.set(shape, [...(shapes.get(shape) ?? []), tokens]);
  }
  const rows = [...shapes.values()].sort((a, b) => b.length - a.length)[0];
  if (!rows || rows[0]!.length === 0) return null;
  const columns = rows[0]!.map((token, index) => ({
    ...token,
    values: [...new Set(rows.map((row) => row[index]!.text))],
  }));
  const known = new Set(cables.map((cable) => cable.toLowerCase()));
  const parts: (string | null)[] = columns.map(({ kind, text }) => (kind === 'mark' ? text : null));
  const claim = (part: string, fits: (column: (typeof columns)[number]) => boolean) => {
    const at = columns.findIndex((column, index) => parts[index] === null && fits(column));
    if (at >= 0) parts[at] = part;
  };
  claim(
    '{nm}',
    ({ kind, values }) =>
      kind === 'number' && values.every((value) => USUAL_WAVELENGTHS.has(Number(value))),
  );
  claim(
    '{dir}',
    ({ kind, values }) =>
      kind === 'word' && values.length <= 2 && values.every((value) => /^(ab|ba)$/i.test(value)),
  );
  claim('{cable}', ({ values }) => values.every((value) => known.has(value.toLowerCase())));
  if (!parts.includes('{dir}'))
    claim(
      '{dir}',
      ({ kind, values }) =>
        kind === 'word' && values.length === 2 && values.every((value) => DIRECTIONS.test(value)),
    );
  // Of the figures that are left, the one with most values counts the fibers.
  const most = columns.reduce(
    (best, { kind, values }, index) =>
      kind === 'number' &&
      parts[index] === null &&
      values.length > (columns[best]?.values.length ?? 0)
        ? index
        : best,
    -1,
  );
  if (most >= 0) parts[most] = '{fiber}';
  return columns
    .map(({ kind, text, values }, index) => {
      if (parts[index] !== null) return parts[index];
      return values.length === 1 && kind === 'word' ? text : '*';
    })
    .join('')
    .replace(/\*+/g, '*')
    .replace('{nm}nm', '{nm}');
}

/** The direction a word says by itself; null where a person must say. */
export function directionOf(word: string | null): Direction | null {
  if (word === null) return null;
  if (/^(ab|a|fwd|forward)$/i.test(word)) return 'AB';
  if (/^(ba|b|rev|backward)$/i.test(word)) return 'BA';
  return null;
}

/** The number of a fiber as a file's header has it: 17, A-017 or "fiber 17"; null where there is no one number. */
export function fiberOf(text: string): number | null {
  const numbers = text.match(/\d+/g);
  const last = numbers?.at(-1);
  return last === undefined || numbers!.length > 2 ? null : Number(last);
}

/** What a person settled for a folder of files. */
export interface NamingSetting {
  pattern: string;
  cables: readonly { id: string; name: string; fibers: number }[];
  /** The cable that fibers are counted in where neither name nor file says. */
  cableId: string | null;
  /** Which end a word of the name, or a location of the file, stands for. */
  directions: Readonly<Record<string, Direction>>;
  /** Names of both ends of circuits, where they begin first, by cable and fiber as {@link endsKey} has it. */
  ends?: Readonly<Record<string, readonly [string, string]>>;
  /** Who is right where name and file disagree; null: nobody, until a person says. */
  trust: 'name' | 'file' | null;
}

/** What name and file may tell differently. */
type Disputed = 'cable' | 'fiber' | 'wavelength' | 'direction';

/** What keeps a file's place from being settled. */
export type PlaceProblem =
  | { code: 'patternDoesNotFit' | 'whichCable' | 'whichFiber' | 'whichEnd' }
  | { code: 'disputed'; what: Disputed; byName: string; byFile: string }
  | { code: 'fiberOutside'; cable: string; fibers: number; fiber: number };

/** Where a file belongs, as far as it is known, and what keeps it from being settled. */
export interface NamedPlace {
  cableId: string | null;
  fiber: number | null;
  direction: Direction | null;
  wavelengthNm: number | null;
  /** Whether name and file tell something differently, and nobody has said which is right. */
  isDisputed: boolean;
  problems: PlaceProblem[];
}

/** What of a file's header says where it belongs. */
export interface HeaderFacts {
  cableId: string;
  fiberId: string;
  wavelengthNm: number;
  from: string;
  to: string;
}

/** The word that tells a file's direction: of its name, else the location it was shot from. */
export const directionWord = (name: NameFacts | null, header: HeaderFacts): string =>
  (name?.direction ?? header.from).trim();

/** Under which a circuit's ends stand in a setting. */
export const endsKey = (cableId: string, fiber: number): string => `${cableId} ${fiber}`;

/** Letters and figures of a name: how it is written is no difference. */
const plain = (name: string): string => name.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, '');

/** From which end a file says that it was shot, by the places it names; null where it names none of them. */
export function directionByPlaces(
  { from, to }: Pick<HeaderFacts, 'from' | 'to'>,
  [a, b]: readonly [string, string],
): Direction | null {
  const [start, end] = [plain(a), plain(b)];
  if (start === end) return null;
  if (plain(from) === start || (plain(from) !== end && plain(to) === end)) return 'AB';
  if (plain(from) === end || plain(to) === start) return 'BA';
  return null;
}

/** Settles where a file belongs from its name and its header. What neither tells, or both tell differently, is a problem. */
export function settlePlace(name: string, header: HeaderFacts, setting: NamingSetting): NamedPlace {
  const read = setting.pattern === '' ? null : readName(setting.pattern, name);
  const problems: PlaceProblem[] = [];
  const disputed = new Set<Disputed>();
  if (setting.pattern !== '' && !read) problems.push({ code: 'patternDoesNotFit' });
  const settled = <Value>(
    what: Disputed,
    byName: Value | null,
    byFile: Value | null,
  ): Value | null => {
    if (byName === null || byFile === null || byName === byFile) return byName ?? byFile;
    if (setting.trust) return setting.trust === 'name' ? byName : byFile;
    disputed.add(what);
    problems.push({
      code: 'disputed',
      what,
      byName: String(byName),
      byFile: String(byFile),
    });
    return null;
  };
  const cableNamed = (text: string | null | undefined) =>
    (text && setting.cables.find((cable) => cable.name.toLowerCase() === text.toLowerCase())) ||
    null;
  const cableName = settled(
    'cable',
    cableNamed(read?.cable)?.name ?? null,
    cableNamed(header.cableId)?.name ?? null,
  );
  const cable =
    cableNamed(cableName) ??
    setting.cables.find(({ id }) => id === setting.cableId && !disputed.has('cable')) ??
    null;
  const fiber = settled('fiber', read?.fiber ?? null, fiberOf(header.fiberId));
  const wavelengthNm = settled(
    'wavelength',
    read?.wavelengthNm ?? null,
    header.wavelengthNm || null,
  );
  const word = directionWord(read, header);
  const ends = cable && fiber !== null ? setting.ends?.[endsKey(cable.id, fiber)] : undefined;
  const byPlace = ends ? directionByPlaces(header, ends) : null;
  // What a person said of a word comes first, then where it was shot from, then what the word may mean.
  const direction =
    setting.directions[word] ??
    settled('direction', read && directionOf(read.direction), byPlace) ??
    null;
  if (!cable && !disputed.has('cable')) problems.push({ code: 'whichCable' });
  if (fiber === null && !disputed.has('fiber')) problems.push({ code: 'whichFiber' });
  if (cable && fiber !== null && (fiber < 1 || fiber > cable.fibers))
    problems.push({ code: 'fiberOutside', cable: cable.name, fibers: cable.fibers, fiber });
  if (!direction && !disputed.has('direction')) problems.push({ code: 'whichEnd' });
  return {
    cableId: cable?.id ?? null,
    fiber,
    direction,
    wavelengthNm,
    isDisputed: disputed.size > 0,
    problems,
  };
}
