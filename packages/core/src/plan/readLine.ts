import { GROUP_SIZE, fiberCount } from '../record/cable.ts';
import type { Method } from '../record/splice.ts';
import { unitSize } from '../fiber/address.ts';
import { dashed } from '../fiber/parse.ts';
import { parseFibers } from '../fiber/parseFibers.ts';
import { placeOfColour } from '../fiber/schemes.ts';
import { plural } from '../measure/count.ts';
import {
  type PlanLine,
  type Run,
  type Selection,
  type Span,
  VERBS,
  type Verb,
  countOf,
} from './lines.ts';
import { nearestName } from './nearestName.ts';
import type { ListCable } from './spliceList.ts';

interface Token extends Span {
  text: string;
  quoted: boolean;
}

/** Thrown inside a line and turned into a {@link PlanError} at the end of it. */
export class Wrong extends Error {
  readonly at: Span;
  constructor(at: Span, message: string) {
    super(message);
    this.at = at;
  }
}

/**
 * Reads one line of a plan; null where it holds nothing but a remark.
 * @param cables by name in small letters
 * @throws Wrong where it is not understood, at its place
 */
export function readLine(
  source: string,
  line: number,
  cables: ReadonlyMap<string, ListCable>,
): PlanLine | null {
  const tokens = tokenize(source, line);
  return tokens.length === 0 ? null : new LineReader(tokens, cables).read();
}

const TOKEN = /"[^"]*"?|[^\s",]+|,/g;

function tokenize(source: string, line: number): Token[] {
  const tokens: Token[] = [];
  // Quotes and dashes of print, letter for letter, so that places stay what they are.
  const plain = dashed(source).replace(/[\u201c-\u201f\u00ab\u00bb]/g, '"');
  for (const match of plain.matchAll(TOKEN)) {
    const [text] = match;
    if (text.startsWith('#')) break;
    const quoted = text.startsWith('"');
    const token = { line, from: match.index, to: match.index + text.length, text, quoted };
    if (quoted && (text.length === 1 || !text.endsWith('"')))
      throw new Wrong(token, 'The quote is not closed: write " at its end.');
    if (quoted) token.text = text.slice(1, -1);
    tokens.push(token);
  }
  return tokens;
}

const UNITS: ReadonlyMap<string, 'fiber' | 'tube' | 'group' | 'ribbon'> = new Map(
  Object.entries({
    fiber: 'fiber',
    fibers: 'fiber',
    tube: 'tube',
    tubes: 'tube',
    group: 'group',
    groups: 'group',
    ribbon: 'ribbon',
    ribbons: 'ribbon',
    t: 'tube',
    f: 'fiber',
    g: 'group',
    r: 'ribbon',
  } as const),
);

const NUMBERS = /^\d+(-\d+)?$/;
/** Tube and fiber, or tube, group and fibers: `7/12`, `5/1/1-12`. */
const PLACE = /^\d+(\/\d+){1,2}(-\d+)?$/;
/** A unit written together with its number: `T7`, `F12`, `tube7`. */
const JOINED = /^(tubes?|ribbons?|fibers?|groups?|[tfgr])(\d+(?:-\d+)?)$/i;

/** Words of the longest name that is looked for without quotes. */
const MOST_WORDS = 6;

class LineReader {
  private at = 0;
  private readonly tokens: Token[];
  private readonly cables: ReadonlyMap<string, ListCable>;

  constructor(tokens: readonly Token[], cables: ReadonlyMap<string, ListCable>) {
    this.tokens = [...tokens];
    this.cables = cables;
  }

  read(): PlanLine {
    const first = this.tokens[0]!;
    const span = { line: first.line, from: first.from, to: this.tokens.at(-1)!.to };
    const verb = this.verb();
    const a = this.selection();
    let b: Selection | null = null;
    if (verb === 'splice') {
      const word = this.peek();
      if (word?.text.toLowerCase() !== 'to')
        throw new Wrong(word ?? this.end(), 'Say onto what: write “to” and the other cable.');
      this.at++;
      b = this.selection();
    }
    const line: PlanLine = {
      verb,
      a,
      b,
      method: 'single',
      reversed: false,
      note: null,
      span,
    };
    return this.checked(this.endings(line));
  }

  private verb(): Verb {
    const word = this.tokens[this.at++]!;
    const verb = VERBS.find((known) => known === word.text.toLowerCase());
    if (!verb || word.quoted)
      throw new Wrong(
        word,
        `A line begins with splice, through, dead or reserve, not with “${word.text}”.`,
      );
    return verb;
  }

  private selection(): Selection {
    const name = this.tokens[this.at];
    if (!name) throw new Wrong(this.end(), 'Name a cable and its fibers, such as A 1-12.');
    const cable = this.cable(name);
    const { runs, by } = this.fibers(cable, name);
    const to = this.tokens[this.at - 1]!.to;
    return { cable: cable.name, runs, by, span: { line: name.line, from: name.from, to } };
  }

  /** The cable that is named next; a name with blanks needs no quotes where a cable is called so. */
  private cable(name: Token): ListCable {
    for (let count = name.quoted ? 1 : MOST_WORDS; count > 0; count--) {
      const words = this.tokens.slice(this.at, this.at + count).map(({ text }) => text);
      const cable = this.cables.get(words.join(' ').toLowerCase());
      if (!cable) continue;
      this.at += count;
      return cable;
    }
    const names = [...this.cables.values()].map((entry) => entry.name);
    const near = this.near(name, names);
    throw new Wrong(
      name,
      names.length === 0
        ? `There is no cable “${name.text}” here: add what enters the closure first.`
        : near
          ? `There is no cable “${name.text}” here: did you mean ${near}?`
          : `There is no cable “${name.text}” here: ${names.join(', ')}.`,
    );
  }

  /** The name that the next words may have been meant for. */
  private near(name: Token, names: readonly string[]): string | null {
    for (let count = name.quoted ? 1 : MOST_WORDS; count > 0; count--) {
      const words = this.tokens.slice(this.at, this.at + count).map(({ text }) => text);
      const near = nearestName(words.join(' '), names);
      if (near) return near;
    }
    return null;
  }

  private fibers(cable: ListCable, name: Token): { runs: Run[]; by: Selection['by'] } {
    const most = fiberCount(cable.makeUp);
    this.parted();
    const word = this.peek();
    if (word && !word.quoted && PLACE.test(word.text))
      return { runs: this.places(cable), by: 'fiber' };
    if (word?.text.toLowerCase() === 'all') {
      this.at++;
      return { runs: [[1, most]], by: cable.makeUp.kind === 'ribbon' ? 'ribbon' : 'all' };
    }
    const unit = word && !word.quoted ? UNITS.get(word.text.toLowerCase()) : undefined;
    if (!unit) {
      if (!word || !NUMBERS.test(word.text))
        throw new Wrong(
          word ?? { ...name, from: name.from },
          `Say which fibers of ${cable.name}: 1-12, tube 2, ribbon 3 or all.`,
        );
      return { runs: this.ranges(most, 'fiber', cable), by: 'fiber' };
    }
    this.at++;
    if (unit === 'fiber') return { runs: this.ranges(most, 'fiber', cable), by: 'fiber' };
    return unit === 'group' ? this.groupsAlone(cable, word!) : this.units(cable, unit, word!);
  }

  /** Parts a unit from the number it is written with: `T7` is `T 7`. */
  private parted(): void {
    const word = this.peek();
    const match = word && !word.quoted ? JOINED.exec(word.text) : null;
    if (!word || !match) return;
    const middle = word.from + match[1]!.length;
    this.tokens.splice(
      this.at,
      1,
      { ...word, text: match[1]!, to: middle },
      { ...word, text: match[2]!, from: middle },
    );
  }

  /** Places with a slash, several with commas between. */
  private places(cable: ListCable): Run[] {
    const runs: Run[] = [];
    for (;;) {
      const word = this.peek();
      if (!word) throw new Wrong(this.end(), 'A fiber is missing: write 7/12.');
      const read = parseFibers(word.text, cable.makeUp, cable.scheme);
      if (!read.ok) throw new Wrong(word, `${cable.name}: ${read.error}`);
      runs.push([read.value[0]!, read.value.at(-1)!]);
      this.at++;
      if (this.peek()?.text !== ',') return runs;
      this.at++;
    }
  }

  /** Groups without a tube: the cable has one tube only, or they cannot be told apart. */
  private groupsAlone(cable: ListCable, word: Token): never {
    throw new Wrong(
      word,
      `Groups are counted in their tube: write “${cable.name} tube 2 group 1”.`,
    );
  }

  private units(
    cable: ListCable,
    unit: 'tube' | 'ribbon',
    word: Token,
  ): { runs: Run[]; by: Selection['by'] } {
    const { makeUp } = cable;
    const has = makeUp.kind === 'ribbon' ? 'ribbon' : makeUp.kind === 'drop' ? 'fiber' : 'tube';
    if (has !== unit) throw new Wrong(word, `${cable.name} has no ${unit}s: count it by ${has}s.`);
    const size = unitSize(makeUp);
    const units = this.ranges(fiberCount(makeUp) / size, unit, cable);
    this.parted();
    const next = this.peek();
    const part = next && !next.quoted ? UNITS.get(next.text.toLowerCase()) : undefined;
    // A colour behind a unit is the fiber in it: `tube 1 blue`.
    if (next && !next.quoted && placeOfColour(cable.scheme, next.text) !== null)
      return { runs: within(units, size, this.ranges(size, 'fiber', cable), 1), by: 'fiber' };
    if (part === 'group') {
      this.at++;
      if (makeUp.kind !== 'grouped-tube')
        throw new Wrong(next!, `${cable.name} has no groups in its ${unit}s.`);
      const groups = this.ranges(makeUp.groupsPerTube, 'group', cable);
      return { runs: within(units, size, groups, GROUP_SIZE), by: 'group' };
    }
    if (part === 'fiber') {
      this.at++;
      return { runs: within(units, size, this.ranges(size, 'fiber', cable), 1), by: 'fiber' };
    }
    return {
      runs: units.map(([first, last]): Run => [(first - 1) * size + 1, last * size]),
      by: unit,
    };
  }

  /** Numbers from 1 to `most`, such as `1-6, 8`, or one colour. */
  private ranges(most: number, what: string, cable: ListCable): Run[] {
    const runs: Run[] = [];
    for (;;) {
      const word = this.peek();
      const run = word && !word.quoted ? readRun(word, cable) : null;
      if (!run)
        throw new Wrong(
          word ?? this.end(),
          `A number is missing: write ${what === 'fiber' ? '1-12' : `${what} 1 or ${what}s 1-6`}.`,
        );
      this.at++;
      const [first, last] = run;
      if (first < 1 || Math.max(first, last) > most)
        throw new Wrong(
          word!,
          `${cable.name} has ${most === 1 ? `one ${what}` : `${what}s 1 to ${most}`}${what === 'fiber' ? '' : ' here'}: “${word!.text}” is outside.`,
        );
      if (last < first)
        throw new Wrong(
          word!,
          `Write the smaller number first: ${last}-${first}. To turn ribbons round, add “reversed”.`,
        );
      runs.push(run);
      if (this.peek()?.text !== ',') return runs;
      this.at++;
    }
  }

  private endings(line: PlanLine): PlanLine {
    let method: Method | null = null;
    for (let word = this.peek(); word; word = this.peek()) {
      const text = word.text.toLowerCase();
      if (word.quoted) line.note = word.text;
      else if (line.verb === 'splice' && (text === 'single' || text === 'mass')) method = text;
      else if (line.verb === 'splice' && text === 'reversed') line.reversed = true;
      else {
        const right =
          line.verb === 'splice'
            ? 'Only single, mass, reversed or a note in quotes may follow'
            : 'Only a note in quotes may follow';
        throw new Wrong(word, `“${word.text}” is not understood. ${right}.`);
      }
      this.at++;
    }
    const ribbons = line.a.by === 'ribbon' && line.b?.by === 'ribbon';
    line.method = method ?? (ribbons ? 'mass' : 'single');
    return line;
  }

  private checked(line: PlanLine): PlanLine {
    if (!line.b) return line;
    const [a, b] = [countOf(line.a.runs), countOf(line.b.runs)];
    if (a !== b)
      throw new Wrong(
        line.b.span,
        `${plural(a, 'fiber')} of ${line.a.cable} cannot meet ${plural(b, 'fiber')} of ${line.b.cable}: name as many on both sides.`,
      );
    const whole = line.method === 'mass' || line.reversed;
    for (const side of [line.a, line.b]) {
      if (!whole) break;
      const broken = side.runs.find((run) => !isWhole(run));
      if (broken)
        throw new Wrong(
          side.span,
          `${line.method === 'mass' ? 'Mass splices take' : 'Reversed takes'} whole twelves, such as 13-24: ${broken[0]}-${broken[1]} is ${plural(broken[1] - broken[0] + 1, 'fiber')}${(broken[1] - broken[0] + 1) % GROUP_SIZE === 0 ? ' over two of them' : ''}.`,
        );
    }
    return line;
  }

  private peek(): Token | undefined {
    return this.tokens[this.at];
  }

  private end(): Span {
    const last = this.tokens.at(-1)!;
    return { line: last.line, from: last.from, to: last.to };
  }
}

function readRun(word: Token, cable: ListCable): Run | null {
  if (NUMBERS.test(word.text)) {
    const dash = word.text.indexOf('-');
    const first = Number(dash < 0 ? word.text : word.text.slice(0, dash));
    return [first, dash < 0 ? first : Number(word.text.slice(dash + 1))];
  }
  const colour = placeOfColour(cable.scheme, word.text.toLowerCase());
  return colour === null ? null : [colour, colour];
}

/** Parts of each unit: fibers or groups of `step` fibers, in units of `size` fibers. */
function within(units: readonly Run[], size: number, parts: readonly Run[], step: number): Run[] {
  const runs: Run[] = [];
  for (const [first, last] of units)
    for (let unit = first; unit <= last; unit++)
      for (const [from, to] of parts)
        runs.push([(unit - 1) * size + (from - 1) * step + 1, (unit - 1) * size + to * step]);
  return runs;
}

const isWhole = ([first, last]: Run): boolean =>
  first % GROUP_SIZE === 1 && last % GROUP_SIZE === 0;
