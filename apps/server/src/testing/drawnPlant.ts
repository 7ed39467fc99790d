import {
  AT_PORT,
  BUILT_IN_SCHEMES,
  type Cable,
  type Closure,
  type Leg,
  type MakeUp,
  type Splice,
  USUAL_GLASS,
  USUAL_RUN,
} from '@cordel/core';
import { seeded } from '@cordel/standin';
import { v7 as uuid } from 'uuid';

/** A kilometer, in tenths of a millimeter. */
const KM = 10_000_000;
const PER_UNIT = 12;

/** A fiber of a cable where it is spliced. */
interface End {
  cable: Cable;
  fiber: number;
  leg?: Leg;
}

type Way = Splice['method'];

/** Draws by a seed. */
export class Draw {
  readonly chance: () => number;

  constructor(seed: number) {
    this.chance = seeded(seed).uniform;
  }

  /** A whole number from 0 up to, but not, `most`. */
  upTo(most: number): number {
    return Math.floor(this.chance() * most);
  }

  oneOf<Item>(list: readonly Item[]): Item {
    return list[this.upTo(list.length)]!;
  }
}

/**
 * Closures, cables and splices by a grammar: a row of closures, between them cables of loose tubes, groups or ribbons, some
 * of which pass a closure as express cables with a tube cut for a drop, and sometimes fed anew behind the cut; outer ends of
 * cable or ports; splitters with their drops; branches off a closure of the row.
 */
export class DrawnPlant {
  readonly closures: Closure[];
  readonly cables: Cable[] = [];
  readonly splices: Splice[] = [];
  private readonly draw: Draw;
  private readonly projectId: string;
  /** Tubes, groups or ribbons of twelve in each cable of the row. */
  private readonly units: number;
  private readonly filled = new Map<string, { tray: number; slot: number }>();
  /** Fibers of the feeding cable that carry nothing from here on: they were cut for a drop. */
  private readonly stubs = new Set<number>();

  constructor(draw: Draw, projectId: string) {
    this.draw = draw;
    this.projectId = projectId;
    this.units = 1 + draw.upTo(3);
    this.closures = Array.from({ length: 2 + draw.upTo(4) }, (_, at) =>
      this.closure(`Pole ${at + 1}`, (at + 1) * KM + draw.upTo(KM / 2), null, at),
    );
    this.row();
  }

  private get fibers(): number {
    return PER_UNIT * this.units;
  }

  private row(): void {
    const row = [...this.closures];
    const [first, last] = [row[0]!, row.at(-1)!];
    const [portsAtHead, portsAtEnd] = [this.draw.chance() < 0.4, this.draw.chance() < 0.4];
    let feed = portsAtHead ? null : this.cable('C0', this.makeUp(), this.outerEnd('Office', 0));
    for (const closure of row) {
      const isBetween = closure !== first && closure !== last;
      if (feed && isBetween && feed.makeUp.kind === 'loose-tube' && this.draw.chance() < 0.5) {
        this.express(closure, feed);
        continue;
      }
      const next: Cable | null =
        closure === last && portsAtEnd
          ? null
          : this.cable(
              `C${closure.ordinal + 1}`,
              this.makeUp(),
              closure === last ? this.outerEnd('Far hut', last.distance! + 2 * KM) : {},
            );
      if (feed && next) this.through(closure, feed, next);
      else if (feed) this.ports(closure, 'P end', feed);
      else if (next) this.ports(closure, 'P head', next);
      feed = next;
      this.stubs.clear();
    }
  }

  /** The cable goes on; one of its tubes is cut for a drop, and may be fed anew behind the cut. */
  private express(closure: Closure, feed: Cable): void {
    const tube = PER_UNIT * this.draw.upTo(this.units);
    if (this.stubs.has(tube + 1)) return;
    const drop = this.drop('D', closure, PER_UNIT);
    const twelve = Array.from({ length: PER_UNIT }, (_, index) => index + 1);
    for (const fiber of twelve.filter((one) => one % 3 !== 0))
      this.single(closure, { cable: feed, fiber: tube + fiber, leg: 'in' }, { cable: drop, fiber });
    if (this.draw.chance() < 0.5) this.branch(closure, drop);
    if (this.draw.chance() < 0.5) {
      const other = this.drop('E', closure, PER_UNIT);
      for (const fiber of twelve)
        this.single(
          closure,
          { cable: other, fiber },
          { cable: feed, fiber: tube + fiber, leg: 'out' },
        );
    } else for (const fiber of twelve) this.stubs.add(tube + fiber);
  }

  /** A closure off the row, in which a drop goes on. */
  private branch(from: Closure, drop: Cable): void {
    const side = this.closure(
      `Side ${from.ordinal}`,
      from.distance! + KM / 4,
      from.id,
      this.closures.length,
    );
    this.closures.push(side);
    const next = this.drop('F', from, PER_UNIT);
    for (let fiber = 1; fiber <= 8; fiber++)
      this.single(side, { cable: drop, fiber }, { cable: next, fiber });
  }

  /** All fibers go on, but for the stubs and those that a splitter takes. */
  private through(closure: Closure, feed: Cable, next: Cable): void {
    const method: Way = this.draw.chance() < 0.4 ? 'mass' : 'single';
    const outputs = this.draw.chance() < 0.4 ? this.draw.oneOf([2, 4]) : 0;
    const straight = outputs > 0 ? this.fibers - PER_UNIT : this.fibers;
    const step = method === 'mass' ? PER_UNIT : 1;
    for (let first = 1; first <= straight; first += step) {
      if (this.stubs.has(first)) continue;
      const place = this.place(closure, method);
      for (let fiber = first; fiber < first + step; fiber++)
        this.join(closure, { cable: feed, fiber }, { cable: next, fiber }, place, method);
    }
    if (outputs > 0 && !this.stubs.has(this.fibers)) this.split(closure, feed, outputs);
  }

  private split(closure: Closure, feed: Cable, outputs: number): void {
    const at = { closureId: closure.id };
    const splitter = this.cable(`S${closure.ordinal}`, { kind: 'splitter', outputs }, at);
    const drop = this.drop('W', closure, 4);
    this.single(
      closure,
      { cable: feed, fiber: this.fibers },
      { cable: splitter, fiber: outputs + 1 },
    );
    for (let fiber = 1; fiber <= outputs; fiber++)
      this.single(closure, { cable: splitter, fiber }, { cable: drop, fiber });
  }

  /** All fibers of a cable end at ports. */
  private ports(closure: Closure, name: string, cable: Cable): void {
    const makeUp: MakeUp = {
      kind: 'ports',
      place: 'panel',
      ports: this.fibers,
      connector: 'SC',
      polish: 'APC',
    };
    const ports = this.cable(name, makeUp, { closureId: closure.id });
    const end = this.draw.oneOf(['pigtail', 'splice-on', 'mechanical'] as const);
    for (let fiber = 1; fiber <= this.fibers; fiber++) {
      if (this.stubs.has(fiber)) continue;
      const place =
        end === 'pigtail' ? this.place(closure, 'single') : { tray: AT_PORT, slot: fiber };
      this.join(closure, { cable, fiber }, { cable: ports, fiber }, place, 'single', end);
    }
  }

  private makeUp(): MakeUp {
    const twelves = this.units;
    return this.draw.oneOf<MakeUp>([
      { kind: 'loose-tube', tubes: twelves, fibersPerTube: PER_UNIT },
      { kind: 'loose-tube', tubes: twelves, fibersPerTube: PER_UNIT },
      { kind: 'grouped-tube', tubes: 1, groupsPerTube: twelves },
      { kind: 'ribbon', ribbons: twelves },
    ]);
  }

  /** A drop from a closure; of some it is known where they end. */
  private drop(letter: string, { ordinal, distance }: Closure, fibers: number): Cable {
    const end = this.draw.chance() < 0.6 ? this.outerEnd(`House ${ordinal}`, distance! + KM) : {};
    return this.cable(`${letter}${ordinal}`, { kind: 'drop', fibers }, end);
  }

  private outerEnd(name: string, distance: number): Partial<Cable> {
    return { run: { ...USUAL_RUN, end: { name, distance, mark: null, coil: 0 } } };
  }

  private closure(
    name: string,
    distance: number,
    branchOf: string | null,
    ordinal: number,
  ): Closure {
    const { projectId } = this;
    const id = uuid();
    return { id, projectId, name, ordinal, distance, branchOf, position: null, trays: [] };
  }

  private cable(name: string, makeUp: MakeUp, part: Partial<Cable> = {}): Cable {
    const cable: Cable = {
      id: uuid(),
      projectId: this.projectId,
      name,
      makeUp,
      closureId: null,
      schemeId: this.draw.oneOf(BUILT_IN_SCHEMES).id,
      glass: USUAL_GLASS,
      run: USUAL_RUN,
      ...part,
    };
    this.cables.push(cable);
    return cable;
  }

  /** The next place in a closure: single and ribbon sleeves lie on trays of their own. */
  private place({ id, trays }: Closure, method: Way): { tray: number; slot: number } {
    const key = `${id} ${method}`;
    const room = { single: 12, mass: 4 };
    let at = this.filled.get(key);
    if (!at || at.slot === room[method]) {
      at = { tray: trays.length + 1, slot: 0 };
      trays.push({ number: at.tray, ...room });
      this.filled.set(key, at);
    }
    at.slot++;
    return { ...at };
  }

  private single(closure: Closure, a: End, b: End): void {
    this.join(closure, a, b, this.place(closure, 'single'), 'single');
  }

  private join(
    { id: closureId }: Closure,
    a: End,
    b: End,
    place: { tray: number; slot: number },
    method: Way,
    end: Splice['end'] = null,
  ): void {
    this.splices.push({
      id: uuid(),
      projectId: this.projectId,
      closureId,
      ...place,
      cableA: a.cable.id,
      fiberA: a.fiber,
      legA: a.leg ?? null,
      cableB: b.cable.id,
      fiberB: b.fiber,
      legB: b.leg ?? null,
      method,
      end,
      extra: {},
    });
  }
}
