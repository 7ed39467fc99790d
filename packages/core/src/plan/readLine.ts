import { CONNECTORS, GROUP_SIZE, POLISHES, fiberCount, inputOf } from '../record/cable.ts';
import { END_WAYS, type Leg, type Method, isFused } from '../record/splice.ts';
import { unitSize } from '../fiber/address.ts';
import { parseFibers } from '../fiber/parseFibers.ts';
import { fibersASleeve } from '../fiber/ribbons.ts';
import { placeOfColour } from '../fiber/schemes.ts';
import {
  type CountedBy,
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
import { PlanSyntaxError, type Token, tokenize } from './tokens.ts';

/**
 * Reads one line of a plan; null where it holds nothing but a remark.
 * @param cables by name in small letters
 * @throws PlanSyntaxError where it is not understood, at its place
 */
export function readLine(
  source: string,
  line: number,
  cables: ReadonlyMap<string, ListCable>,
): PlanLine | null {
  const tokens = tokenize(source, line);
  return tokens.length === 0 ? null : new LineReader(tokens, cables).read();
}

const UNITS: ReadonlyMap<string, CountedBy> = new Map<string, CountedBy>(
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
    port: 'port',
    ports: 'port',
    out: 'output',
    output: 'output',
    outputs: 'output',
  } as const),
);

/** What a make-up's fibers are counted in besides themselves. */
const COUNTED_BY: Record<ListCable['makeUp']['kind'], CountedBy> = {
  'loose-tube': 'tube',
  'grouped-tube': 'tube',
  ribbon: 'ribbon',
  drop: 'fiber',
  splitter: 'output',
  ports: 'port',
};

const NUMBERS = /^\d+(-\d+)?$/;
/** Tube and fiber, or tube, group and fibers: `7/12`, `5/1/1-12`. */
const PLACE = /^\d+(\/\d+){1,2}(-\d+)?$/;
/** A unit written together with its number: `T7`, `F12`, `tube7`. */
const JOINED = /^(tubes?|ribbons?|fibers?|groups?|ports?|out|[tfgr])(\d+(?:-\d+)?)$/i;

/** A leg behind the name of its cable: `f.in`. */
const LEG = /^(.+)\.(in|out)$/;

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
    if (verb === 'splice' || verb === 'terminate') {
      const word = this.peek();
      const onto = verb === 'splice' ? ['to'] : ['on', 'onto', 'to'];
      if (!onto.includes(word?.text.toLowerCase() ?? ''))
        throw new PlanSyntaxError(word ?? this.end(), {
          code: verb === 'splice' ? 'sayOnto' : 'sayPorts',
        });
      this.at++;
      b = this.selection();
      this.checkEnds(verb, a, b);
    }
    const line: PlanLine = {
      verb,
      a,
      b,
      method: 'single',
      end: verb === 'terminate' ? 'pigtail' : null,
      polarity: null,
      reversed: false,
      note: null,
      span,
    };
    // What passes has both legs; the stub of a cut tube can be dead or reserved.
    if (verb === 'through' && a.leg)
      throw new PlanSyntaxError(a.span, { code: 'legNotHere', cable: a.cable, leg: a.leg, verb });
    return this.checked(this.endings(line));
  }

  /** Fibers end at ports, and ports are spliced to nothing. */
  private checkEnds(verb: Verb, a: Selection, b: Selection): void {
    const isPorts = ({ cable }: Selection) => this.makeUpOf(cable).kind === 'ports';
    if (isPorts(a))
      throw new PlanSyntaxError(a.span, {
        code: verb === 'splice' ? 'portsTerminate' : 'portsFirst',
        cable: a.cable,
      });
    if (verb === 'splice' && isPorts(b))
      throw new PlanSyntaxError(b.span, { code: 'portsTerminate', cable: b.cable });
    if (verb === 'terminate' && !isPorts(b))
      throw new PlanSyntaxError(b.span, { code: 'notPorts', cable: b.cable });
  }

  private makeUpOf(cable: string): ListCable['makeUp'] {
    return this.cables.get(cable.toLowerCase())!.makeUp;
  }

  private verb(): Verb {
    const word = this.tokens[this.at++]!;
    const verb = VERBS.find((known) => known === word.text.toLowerCase());
    if (!verb || word.quoted) throw new PlanSyntaxError(word, { code: 'noVerb', text: word.text });
    return verb;
  }

  private selection(): Selection {
    const name = this.tokens[this.at];
    if (!name) throw new PlanSyntaxError(this.end(), { code: 'nameCable' });
    const { cable, leg } = this.cable(name);
    const { runs, by } = this.fibers(cable, name);
    const to = this.tokens[this.at - 1]!.to;
    return { cable: cable.name, leg, runs, by, span: { line: name.line, from: name.from, to } };
  }

  /** The cable that is named next; a name with blanks needs no quotes where a cable is called so. */
  private cable(name: Token): { cable: ListCable; leg: Leg | null } {
    for (let count = name.quoted ? 1 : MOST_WORDS; count > 0; count--) {
      const words = this.tokens.slice(this.at, this.at + count).map(({ text }) => text);
      const written = words.join(' ').toLowerCase();
      const [, bare, leg] = LEG.exec(written) ?? [];
      const whole = this.cables.get(written);
      const cable = whole ?? (bare === undefined ? undefined : this.cables.get(bare));
      if (!cable) continue;
      this.at += count;
      return { cable, leg: whole ? null : (leg as Leg) };
    }
    const names = [...this.cables.values()].map((entry) => entry.name);
    const near = this.near(name, names);
    throw new PlanSyntaxError(
      name,
      names.length === 0
        ? { code: 'noCables', text: name.text }
        : near
          ? { code: 'noCableMeant', text: name.text, meant: near }
          : { code: 'noCable', text: name.text, cables: names },
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
    if (cable.makeUp.kind === 'splitter' && word && /^in(put)?$/i.test(word.text)) {
      this.at++;
      const input = inputOf(cable.makeUp);
      return { runs: [[input, input]], by: 'fiber' };
    }
    const unit = word && !word.quoted ? UNITS.get(word.text.toLowerCase()) : undefined;
    if (!unit) {
      if (!word || !NUMBERS.test(word.text))
        throw new PlanSyntaxError(word ?? name, { code: 'whichFibers', cable: cable.name });
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
      if (!word) throw new PlanSyntaxError(this.end(), { code: 'fiberMissing' });
      const read = parseFibers(word.text, cable.makeUp, cable.scheme);
      if (!read.ok)
        throw new PlanSyntaxError(word, {
          code: 'fiberProblem',
          cable: cable.name,
          problem: read.error,
        });
      runs.push([read.value[0]!, read.value.at(-1)!]);
      this.at++;
      if (this.peek()?.text !== ',') return runs;
      this.at++;
    }
  }

  /** Groups without a tube: the cable has one tube only, or they cannot be told apart. */
  private groupsAlone(cable: ListCable, word: Token): never {
    throw new PlanSyntaxError(word, { code: 'groupsInTube', cable: cable.name });
  }

  private units(
    cable: ListCable,
    unit: Exclude<CountedBy, 'fiber' | 'group'>,
    word: Token,
  ): { runs: Run[]; by: Selection['by'] } {
    const { makeUp } = cable;
    const has = COUNTED_BY[makeUp.kind];
    if (has !== unit)
      throw new PlanSyntaxError(word, {
        code: 'noUnits',
        cable: cable.name,
        unit,
        countedBy: has,
      });
    const size = unitSize(makeUp);
    const most = makeUp.kind === 'splitter' ? makeUp.outputs : fiberCount(makeUp) / size;
    const units = this.ranges(most, unit, cable);
    this.parted();
    const next = this.peek();
    const part = next && !next.quoted ? UNITS.get(next.text.toLowerCase()) : undefined;
    // A color behind a unit is the fiber in it: `tube 1 blue`.
    if (next && !next.quoted && placeOfColour(cable.scheme, next.text) !== null)
      return { runs: within(units, size, this.ranges(size, 'fiber', cable), 1), by: 'fiber' };
    if (part === 'group') {
      this.at++;
      if (makeUp.kind !== 'grouped-tube')
        throw new PlanSyntaxError(next!, { code: 'noGroups', cable: cable.name, unit });
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
  private ranges(most: number, unit: CountedBy, cable: ListCable): Run[] {
    const runs: Run[] = [];
    for (;;) {
      const word = this.peek();
      const run = word && !word.quoted ? readRun(word, cable) : null;
      if (!run) throw new PlanSyntaxError(word ?? this.end(), { code: 'numberMissing', unit });
      this.at++;
      const [first, last] = run;
      if (first < 1 || Math.max(first, last) > most)
        throw new PlanSyntaxError(word!, {
          code: 'outside',
          cable: cable.name,
          unit,
          most,
          text: word!.text,
        });
      if (last < first)
        throw new PlanSyntaxError(word!, { code: 'backwards', from: last, to: first });
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
      else if (line.b && (text === 'single' || text === 'mass')) method = text;
      else if (line.verb === 'splice' && text === 'reversed') line.reversed = true;
      else if (line.verb !== 'terminate' || !this.ending(line, word))
        throw new PlanSyntaxError(word, {
          code: 'notUnderstood',
          text: word.text,
          verb: line.b ? (line.verb as 'splice' | 'terminate') : 'other',
        });
      this.at++;
    }
    const ribbons =
      line.a.by === 'ribbon' &&
      (line.b?.by === 'ribbon' || (line.end !== null && isFused(line.end)));
    if (method === 'mass' && !isFused(line.end))
      throw new PlanSyntaxError(line.span, { code: 'massNotFused', end: line.end! });
    line.method = method ?? (ribbons ? 'mass' : 'single');
    return line;
  }

  /** What a line says of an end: its way, its connector and polish, its polarity. */
  private ending(line: PlanLine, word: Token): boolean {
    const cable = line.b!.cable;
    const ports = this.makeUpOf(cable);
    if (ports.kind !== 'ports') return false;
    const text = word.text.toLowerCase();
    const way = END_WAYS.find((known) => known === text);
    if (way) {
      line.end = way;
      return true;
    }
    if (CONNECTORS.some((known) => known.toLowerCase() === text)) {
      if (text === ports.connector.toLowerCase()) return true;
      const { connector: has } = ports;
      throw new PlanSyntaxError(word, { code: 'connectorDiffers', cable, has, text: word.text });
    }
    if (POLISHES.some((known) => known.toLowerCase() === text)) {
      if (text === ports.polish.toLowerCase()) return true;
      throw new PlanSyntaxError(word, {
        code: 'polishDiffers',
        cable,
        has: ports.polish,
        text: word.text.toUpperCase(),
      });
    }
    if (text !== 'polarity') return false;
    this.at++;
    const polarity = this.peek()?.text.toUpperCase();
    if (polarity !== 'A' && polarity !== 'B')
      throw new PlanSyntaxError(this.peek() ?? word, { code: 'whichPolarity' });
    line.polarity = polarity;
    line.reversed = polarity === 'B';
    return true;
  }

  private checked(line: PlanLine): PlanLine {
    if (!line.b) return line;
    const [a, b] = [countOf(line.a.runs), countOf(line.b.runs)];
    if (a !== b)
      throw new PlanSyntaxError(line.b.span, {
        code: 'unequal',
        fibersA: a,
        cableA: line.a.cable,
        fibersB: b,
        cableB: line.b.cable,
      });
    const whole = line.method === 'mass' || line.reversed;
    const size = this.fibersASleeve(line.a, line.b);
    for (const side of [line.a, line.b]) {
      if (!whole) break;
      const broken = side.runs.find((run) => !isWhole(run, size));
      if (!broken) continue;
      const [from, to] = broken;
      const fibers = to - from + 1;
      throw new PlanSyntaxError(side.span, {
        code: 'notWhole',
        for: line.method === 'mass' ? 'mass' : 'reversed',
        from,
        to,
        fibers,
        size,
        over: fibers % size === 0 ? 'yes' : 'no',
      });
    }
    return line;
  }

  private fibersASleeve(a: Selection, b: Selection): number {
    return fibersASleeve(this.makeUpOf(a.cable), this.makeUpOf(b.cable));
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

const isWhole = ([first, last]: Run, size: number): boolean =>
  (first - 1) % size === 0 && last % size === 0;
