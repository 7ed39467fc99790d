import { type MakeUp, fiberCount } from '../record/cable.ts';
import type { Method } from '../record/splice.ts';

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
  readonly crowded: number[] = [];
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
}
