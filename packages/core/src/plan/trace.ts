import { GROUP_SIZE, type MakeUp, fiberCount } from '../record/cable.ts';
import { unitSize } from '../fiber/address.ts';
import type { Method } from '../record/splice.ts';
import { plural } from '../measure/count.ts';
import { runsOf, wordsOf } from './expand.ts';

/** A splice as a network knows it; cables and closures by index into the lists given. */
export interface NetworkSplice {
  closure: string;
  cableA: string;
  fiberA: number;
  cableB: string;
  fiberB: number;
  method: Method;
}

export interface NetworkCable {
  id: string;
  name: string;
  makeUp: MakeUp;
}

/** One fiber's way through a cable, and the splice by which it goes on; null at its end. */
export interface CircuitStep {
  cable: string;
  fiber: number;
  /** The splice that leads on from here. */
  splice: number | null;
}

/** A fiber followed from end to end: as many splices as it has steps, less one. */
export interface Circuit {
  steps: CircuitStep[];
  /** Whether the fiber comes back to where it began. */
  circle: boolean;
}

/** What looks wrong in a network, where, and why. */
export interface NetworkProblem {
  kind: 'circle' | 'twice' | 'ends' | 'shift' | 'flip';
  closure: string | null;
  /** The splice that shows it, or -1 where there is none. */
  splice: number;
  message: string;
}

/** Whether a plan says of a fiber in a closure that it is meant so. */
export type OnPurpose = (closure: string, cable: string, fiber: number) => boolean;

/**
 * All fibers of a network with the splices that join them: each fiber of each cable is a node with two
 * places for a splice. Built in one pass over the splices.
 */
export class Network {
  readonly splices: readonly NetworkSplice[];
  readonly cables: readonly NetworkCable[];
  /** The first node of each cable; a fiber's node is that plus its number less one. */
  private readonly base = new Map<string, number>();
  /** The splices at each node, two to a node; -1 where there is none. */
  private readonly ends: Int32Array;
  /** Splices that found both places of a fiber taken. */
  private readonly crowded: number[] = [];
  private readonly nodeA: Int32Array;
  private readonly nodeB: Int32Array;
  private readonly starts: number[] = [];

  constructor(cables: readonly NetworkCable[], splices: readonly NetworkSplice[]) {
    this.cables = cables;
    this.splices = splices;
    let nodes = 0;
    for (const cable of cables) {
      this.base.set(cable.id, nodes);
      this.starts.push(nodes);
      nodes += fiberCount(cable.makeUp);
    }
    this.ends = new Int32Array(nodes * 2).fill(-1);
    this.nodeA = new Int32Array(splices.length);
    this.nodeB = new Int32Array(splices.length);
    // Lists name the same cables row after row.
    let [lastA, lastB, baseA, baseB] = ['', '', 0, 0];
    for (let index = 0; index < splices.length; index++) {
      const splice = splices[index]!;
      if (splice.cableA !== lastA) {
        lastA = splice.cableA;
        baseA = this.baseOf(lastA);
      }
      if (splice.cableB !== lastB) {
        lastB = splice.cableB;
        baseB = this.baseOf(lastB);
      }
      const a = (this.nodeA[index] = baseA + splice.fiberA - 1);
      const b = (this.nodeB[index] = baseB + splice.fiberB - 1);
      if (!this.attach(a, index) || !this.attach(b, index)) this.crowded.push(index);
    }
  }

  /**
   * Follows a fiber to both ends.
   * @throws RangeError where there is no such cable or fiber
   */
  follow(cableId: string, fiber: number): Circuit {
    const cable = this.cables.find((entry) => entry.id === cableId);
    if (!cable || fiber < 1 || fiber > fiberCount(cable.makeUp))
      throw new RangeError('There is no such fiber in the network.');
    const start = this.baseOf(cableId) + fiber - 1;
    const back = this.walk(start, this.ends[start * 2]!);
    if (back.circle) return { steps: this.steps(back.nodes, back.splices), circle: true };
    const on = this.walk(start, this.ends[start * 2 + 1]!);
    const nodes = [...back.nodes.slice(1).reverse(), ...on.nodes];
    const splices = [...back.splices.reverse(), ...on.splices];
    return this.turned({ steps: this.steps(nodes, splices), circle: false });
  }

  /** How many circuits the splices make, and how many splices the longest has. Each splice is met once. */
  survey(): { circuits: number; longest: number; circles: number[] } {
    const seen = new Uint8Array(this.splices.length);
    const found = { circuits: 0, longest: 0, circles: [] as number[] };
    const run = (from: number, first: number): number => {
      let node = from;
      let length = 0;
      for (let splice = first; splice >= 0 && !seen[splice];) {
        seen[splice] = 1;
        length++;
        node = this.across(node, splice);
        splice = this.other(node, splice);
      }
      return length;
    };
    for (let node = 0; node * 2 < this.ends.length; node++) {
      const first = this.ends[node * 2]!;
      if (first < 0 || this.ends[node * 2 + 1]! >= 0 || seen[first]) continue;
      found.circuits++;
      found.longest = Math.max(found.longest, run(node, first));
    }
    for (let splice = 0; splice < seen.length; splice++) {
      if (seen[splice]) continue;
      found.circuits++;
      found.circles.push(splice);
      found.longest = Math.max(found.longest, run(this.nodeA[splice]!, splice));
    }
    return found;
  }

  /**
   * Finds what looks wrong: fibers that go round in a circle or have a third splice, fibers that end
   * in the air, shifts and flips against their neighbours.
   * @param known fibers that end where they do on purpose: dead, reserved or passing through
   * @param turned fibers of ribbons that a plan lays the other way round on purpose
   */
  problems(known: OnPurpose, turned: OnPurpose = () => false): NetworkProblem[] {
    const problems: NetworkProblem[] = this.crowded.map((splice) => ({
      kind: 'twice',
      closure: this.splices[splice]!.closure,
      splice,
      message: `${this.words(splice)} joins a fiber that has two splices already.`,
    }));
    for (const splice of this.survey().circles) {
      if (this.crowded.includes(splice)) continue;
      problems.push({
        kind: 'circle',
        closure: this.splices[splice]!.closure,
        splice,
        message: `${this.words(splice)} closes a circle: the fiber comes back to where it began.`,
      });
    }
    for (const group of this.neighbours()) problems.push(...this.oddOnes(group, turned));
    return [...problems, ...this.looseEnds(known)];
  }

  private baseOf(cable: string): number {
    const base = this.base.get(cable);
    if (base === undefined) throw new RangeError(`There is no cable ${cable} in the network.`);
    return base;
  }

  private attach(node: number, splice: number): boolean {
    const at = node * 2;
    if (this.ends[at]! < 0) this.ends[at] = splice;
    else if (this.ends[at + 1]! < 0) this.ends[at + 1] = splice;
    else return false;
    return true;
  }

  private across(node: number, splice: number): number {
    return this.nodeA[splice] === node ? this.nodeB[splice]! : this.nodeA[splice]!;
  }

  private other(node: number, splice: number): number {
    return this.ends[node * 2] === splice ? this.ends[node * 2 + 1]! : this.ends[node * 2]!;
  }

  private walk(start: number, first: number) {
    const nodes = [start];
    const splices: number[] = [];
    const seen = new Set<number>();
    let circle = false;
    for (let splice = first; splice >= 0;) {
      if (seen.has(splice)) {
        circle = true;
        break;
      }
      seen.add(splice);
      splices.push(splice);
      const node = this.across(nodes.at(-1)!, splice);
      nodes.push(node);
      splice = this.other(node, splice);
    }
    return { nodes, splices, circle };
  }

  private steps(nodes: readonly number[], splices: readonly number[]): CircuitStep[] {
    return nodes.map((node, index) => ({ ...this.fiberAt(node), splice: splices[index] ?? null }));
  }

  /** Begins at the end whose cable comes first. */
  private turned(circuit: Circuit): Circuit {
    const order = new Map(this.cables.map((cable, index) => [cable.id, index]));
    const [first, last] = [circuit.steps[0]!, circuit.steps.at(-1)!];
    if (order.get(first.cable)! <= order.get(last.cable)!) return circuit;
    const splices = circuit.steps
      .map((step) => step.splice)
      .slice(0, -1)
      .reverse();
    const steps = [...circuit.steps]
      .reverse()
      .map((step, index) => ({ ...step, splice: splices[index] ?? null }));
    return { ...circuit, steps };
  }

  private fiberAt(node: number): { cable: string; fiber: number } {
    let low = 0;
    let high = this.starts.length - 1;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (this.starts[middle]! <= node) low = middle;
      else high = middle - 1;
    }
    return { cable: this.cables[low]!.id, fiber: node - this.starts[low]! + 1 };
  }

  private nameOf(cable: string): string {
    return this.cables.find((entry) => entry.id === cable)?.name ?? cable;
  }

  private words(index: number): string {
    const { cableA, fiberA, cableB, fiberB } = this.splices[index]!;
    return `${this.nameOf(cableA)} ${fiberA} to ${this.nameOf(cableB)} ${fiberB}`;
  }

  private isMeant(index: number, meant: OnPurpose): boolean {
    const { closure, cableA, fiberA } = this.splices[index]!;
    return meant(closure, cableA, fiberA);
  }

  /** Splices of one closure that join the same tube or ribbon of A to the same of B. */
  private neighbours(): number[][] {
    const sizes = new Map(this.cables.map((cable) => [cable.id, unitSize(cable.makeUp)]));
    const groups = new Map<string, number[]>();
    this.splices.forEach((splice, index) => {
      const a = Math.ceil(splice.fiberA / sizes.get(splice.cableA)!);
      const b = Math.ceil(splice.fiberB / sizes.get(splice.cableB)!);
      const key = `${splice.closure} ${splice.cableA} ${a} ${splice.cableB} ${b}`;
      const group = groups.get(key);
      if (group) group.push(index);
      else groups.set(key, [index]);
    });
    return [...groups.values()].filter((group) => group.length >= 3);
  }

  /** Splices that step out of line with their neighbours, and ribbons laid the other way round. */
  private oddOnes(group: readonly number[], meant: OnPurpose): NetworkProblem[] {
    const turns = new Map<number, number[]>();
    const shifts = new Map<number, number[]>();
    for (const index of group) {
      const { fiberA, fiberB } = this.splices[index]!;
      push(turns, fiberA + fiberB, index);
      push(shifts, fiberB - fiberA, index);
    }
    const closure = this.splices[group[0]!]!.closure;
    const usual = largest(shifts);
    const turned = largest(turns);
    if (turned.length >= 3 && turned.length > usual.length) {
      if (turned.every((index) => this.isMeant(index, meant))) return [];
      const whole = group.length === GROUP_SIZE && turned.length === GROUP_SIZE;
      return [
        {
          kind: 'flip',
          closure,
          splice: turned[0]!,
          message: `${this.words(turned[0]!)} and ${plural(turned.length - 1, 'neighbour')} run the other way round: ${whole ? 'the ribbon is flipped' : 'the fibers count down'}. If it is meant, say “reversed” in the plan.`,
        },
      ];
    }
    if (usual.length * 2 <= group.length) return [];
    const shift = this.splices[usual[0]!]!.fiberB - this.splices[usual[0]!]!.fiberA;
    return [...shifts.entries()]
      .filter(([own]) => own !== shift)
      .flatMap(([, list]) => list)
      .map((splice) => ({
        kind: 'shift' as const,
        closure,
        splice,
        message: `${this.words(splice)} steps out of line: its neighbours would put it onto ${this.nameOf(this.splices[splice]!.cableB)} ${this.splices[splice]!.fiberA + shift}.`,
      }));
  }

  /** Fibers that stop in a closure where others of their cable go on. */
  private looseEnds(known: OnPurpose): NetworkProblem[] {
    const used = new Map<string, Map<string, Set<number>>>();
    for (const splice of this.splices)
      for (const [cable, fiber] of [
        [splice.cableA, splice.fiberA],
        [splice.cableB, splice.fiberB],
      ] as const) {
        let closures = used.get(cable);
        if (!closures) used.set(cable, (closures = new Map()));
        const fibers = closures.get(splice.closure);
        if (fibers) fibers.add(fiber);
        else closures.set(splice.closure, new Set([fiber]));
      }
    const problems: NetworkProblem[] = [];
    for (const [cable, closures] of used) {
      const anywhere = new Set([...closures.values()].flatMap((fibers) => [...fibers]));
      if (closures.size < 2) continue;
      for (const [closure, fibers] of closures) {
        const missing = [...anywhere]
          .filter((fiber) => !fibers.has(fiber) && !known(closure, cable, fiber))
          .sort((a, b) => a - b);
        if (missing.length === 0) continue;
        problems.push({
          kind: 'ends',
          closure,
          splice: -1,
          message: `${this.nameOf(cable)} ${wordsOf(runsOf(missing))} ${missing.length === 1 ? 'ends' : 'end'} in the air here: spliced elsewhere, and neither spliced, dead nor reserved here.`,
        });
      }
    }
    return problems;
  }
}

function push<Key>(map: Map<Key, number[]>, key: Key, value: number): void {
  const list = map.get(key);
  if (list) list.push(value);
  else map.set(key, [value]);
}

const largest = (map: ReadonlyMap<number, number[]>): number[] =>
  [...map.values()].reduce((best, list) => (list.length > best.length ? list : best), []);
