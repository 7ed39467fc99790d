import { type MakeUp, fiberCount } from '../record/cable.ts';
import { splitterLossMdb } from '../loss/splitter.ts';
import type { Method } from '../record/splice.ts';
import { FiberPieces, type PiecedSplice } from './fiberPieces.ts';

/** A splice as a network knows it; cables and closures by index into the lists given. */
export interface NetworkSplice extends PiecedSplice {
  closure: string;
  method: Method;
}

export interface NetworkCable {
  id: string;
  name: string;
  makeUp: MakeUp;
  /** The closure in which a device stands. */
  closureId?: string | null;
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

/** A circuit from its origin to one of its far ends, through every splitter on its way. */
export interface WholeCircuit {
  /** A fiber of each part between splitters, from the origin on, and a splice of that part. */
  parts: { cable: string; fiber: number; splice: number }[];
  /** The splitters it passes, and by which output. */
  splitters: { cable: string; output: number }[];
  splices: number;
  /** What its splitters lose at most, thousandths of a dB. */
  splitterMdb: number;
  /** Those of its splices that are ends at ports. */
  ends: number[];
}

/** What a fiber is: of a cable, a splitter's input or output, or behind a port. */
const ROLES = { fiber: 0, input: 1, output: 2, port: 3 } as const;

/**
 * All fibers of a network with the splices that join them: each fiber of each cable is a node with two
 * places for a splice, and where it is cut on its way, each piece of it. Built in two passes over the splices.
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
  /** What each node is, by {@link ROLES}. */
  private readonly roles: Uint8Array;
  private readonly pieces: FiberPieces;
  /** The nodes of cables; behind them stand further pieces of fibers that are cut. */
  private readonly wholes: number;
  /** The node of the second piece of each fiber that is cut; its others follow. */
  private readonly second = new Map<number, number>();
  /** The fiber that each further piece belongs to. */
  private readonly wholeOf: number[] = [];

  constructor(cables: readonly NetworkCable[], splices: readonly NetworkSplice[]) {
    this.cables = cables;
    this.splices = splices;
    let nodes = 0;
    for (const cable of cables) {
      this.base.set(cable.id, nodes);
      this.starts.push(nodes);
      nodes += fiberCount(cable.makeUp);
    }
    this.wholes = nodes;
    this.pieces = new FiberPieces(splices);
    for (const [cable, fibers] of this.pieces.cuts)
      for (const [fiber, cuts] of fibers) {
        const whole = this.baseOf(cable) + fiber - 1;
        this.second.set(whole, nodes);
        nodes += cuts.length;
        for (const _ of cuts) this.wholeOf.push(whole);
      }
    this.ends = new Int32Array(nodes * 2).fill(-1);
    this.roles = rolesOf(cables, nodes);
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
      const a = (this.nodeA[index] = this.pieceAt(baseA + splice.fiberA - 1, 'A', splice));
      const b = (this.nodeB[index] = this.pieceAt(baseB + splice.fiberB - 1, 'B', splice));
      if (!this.attach(a, index) || !this.attach(b, index)) this.crowded.push(index);
    }
  }

  /**
   * Follows a fiber to both ends; a splitter is an end.
   * @param through a splice of the piece that is followed, where the fiber is cut; else the first piece with a splice
   * @throws RangeError where there is no such cable or fiber
   */
  follow(cableId: string, fiber: number, through?: number): Circuit {
    const nodes = this.nodesOf(cableId, fiber);
    const meets = (node: number) => this.nodeA[through!] === node || this.nodeB[through!] === node;
    return this.followNode(
      (through === undefined ? undefined : nodes.find(meets)) ??
        nodes.find((node) => this.ends[node * 2]! >= 0) ??
        nodes[0]!,
    );
  }

  /**
   * Follows each piece of a fiber that has a splice; one circuit where it is not cut.
   * @throws RangeError where there is no such cable or fiber
   */
  followAll(cableId: string, fiber: number): Circuit[] {
    const nodes = this.nodesOf(cableId, fiber);
    const spliced = nodes.filter((node) => this.ends[node * 2]! >= 0);
    const circuits = (spliced.length > 0 ? spliced : nodes.slice(0, 1)).map((node) =>
      this.followNode(node),
    );
    // Pieces may be joined to one another.
    const seen = new Set<number>();
    return circuits.filter(({ steps }) => {
      const known = steps.some(({ splice }) => splice !== null && seen.has(splice));
      for (const { splice } of steps) if (splice !== null) seen.add(splice);
      return !known;
    });
  }

  /** Whether a fiber is cut on the way of its cable. */
  isCut(cableId: string, fiber: number): boolean {
    return this.pieces.cuts.get(cableId)?.has(fiber) ?? false;
  }

  /** All pieces of a fiber. */
  private nodesOf(cableId: string, fiber: number): number[] {
    const cable = this.cables.find((entry) => entry.id === cableId);
    if (!cable || fiber < 1 || fiber > fiberCount(cable.makeUp))
      throw new RangeError('There is no such fiber in the network.');
    const whole = this.baseOf(cableId) + fiber - 1;
    const cuts = this.pieces.cuts.get(cableId)?.get(fiber) ?? [];
    return [whole, ...cuts.map((_, index) => this.second.get(whole)! + index)];
  }

  private pieceAt(whole: number, side: 'A' | 'B', splice: NetworkSplice): number {
    if (this.second.size === 0) return whole;
    const { [`cable${side}` as const]: cable, [`fiber${side}` as const]: fiber } = splice;
    const piece = this.pieces.pieceOf(cable, fiber, splice[`leg${side}`], splice.order);
    return piece === 0 ? whole : this.second.get(whole)! + piece - 1;
  }

  private followNode(start: number): Circuit {
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

  /** The splitter that feeds a circuit, and by which output; null where none does. */
  feedOf({ steps }: Circuit): { cable: string; output: number } | null {
    for (const end of [steps[0]!, steps.at(-1)!])
      if (this.roleOf(end) === ROLES.output) return { cable: end.cable, output: end.fiber };
    return null;
  }

  /** The splitter that a circuit feeds; null where it feeds none. */
  fedBy({ steps }: Circuit): string | null {
    return (
      [steps[0]!, steps.at(-1)!].find((end) => this.roleOf(end) === ROLES.input)?.cable ?? null
    );
  }

  /** Every circuit from its origin to each far end, through splitters. Linear in splices and branches. */
  wholeCircuits(): WholeCircuit[] {
    const found: WholeCircuit[] = [];
    const done = new Uint8Array(this.roles.length);
    for (let node = 0; node < this.roles.length; node++) {
      const role = this.roles[node]!;
      if (role === ROLES.input || role === ROLES.output || done[node] || !this.isEnd(node))
        continue;
      const { end, splices, last } = this.farEnd(node);
      done[node] = done[end] = 1;
      // What a splitter feeds is found from there.
      if (this.roles[end] === ROLES.output) continue;
      const circuit: WholeCircuit = {
        parts: [{ ...this.fiberAt(node), splice: this.ends[node * 2]! }],
        splitters: [],
        splices,
        splitterMdb: 0,
        ends: role === ROLES.port ? [this.ends[node * 2]!] : [],
      };
      this.branch(circuit, end, last, found);
    }
    return found;
  }

  /** What is wrong with the feeds of splitters. */
  feedProblems(): { cable: string; fiber: number; code: 'fedFromTwo' | 'notFed'; other: string }[] {
    return this.cables.flatMap(({ id, makeUp }) => {
      if (makeUp.kind !== 'splitter') return [];
      const base = this.baseOf(id);
      const used = Array.from({ length: makeUp.outputs }, (_, output) => base + output).filter(
        (node) => this.isEnd(node),
      );
      const input = base + makeUp.outputs;
      const wrong = used.flatMap((node) => {
        const { end } = this.farEnd(node);
        if (this.roles[end] !== ROLES.output || end < node) return [];
        const fiber = node - base + 1;
        return [{ cable: id, fiber, code: 'fedFromTwo' as const, other: this.fiberAt(end).cable }];
      });
      if (used.length > 0 && this.ends[input * 2]! < 0)
        return [...wrong, { cable: id, fiber: makeUp.outputs + 1, code: 'notFed', other: id }];
      return wrong;
    });
  }

  /** Goes on from a far end: through a splitter to all its outputs in use, or the circuit ends here. */
  private branch(circuit: WholeCircuit, end: number, last: number, found: WholeCircuit[]): void {
    const splitter = this.roles[end] === ROLES.input ? this.cableAt(end) : null;
    const passed = circuit.splitters.some(({ cable }) => cable === splitter?.id);
    const makeUp = splitter?.makeUp;
    const outputs =
      makeUp?.kind === 'splitter' && !passed
        ? Array.from({ length: makeUp.outputs }, (_, index) => end - makeUp.outputs + index).filter(
            (node) => this.isEnd(node),
          )
        : [];
    if (makeUp?.kind !== 'splitter' || outputs.length === 0) {
      found.push({
        ...circuit,
        ends: this.roles[end] === ROLES.port ? [...circuit.ends, last] : circuit.ends,
      });
      return;
    }
    for (const node of outputs) {
      const far = this.farEnd(node);
      const output = node - (end - makeUp.outputs) + 1;
      this.branch(
        {
          parts: [
            ...circuit.parts,
            { cable: splitter!.id, fiber: output, splice: this.ends[node * 2]! },
          ],
          splitters: [...circuit.splitters, { cable: splitter!.id, output }],
          splices: circuit.splices + far.splices,
          splitterMdb: circuit.splitterMdb + splitterLossMdb(makeUp, output),
          ends: circuit.ends,
        },
        far.end,
        far.last,
        found,
      );
    }
  }

  /** Whether exactly one splice is at a node. */
  private isEnd(node: number): boolean {
    return this.ends[node * 2]! >= 0 && this.ends[node * 2 + 1]! < 0;
  }

  /** The other end of the fiber that ends at a node, the splices between, and the last of them. */
  private farEnd(node: number): { end: number; splices: number; last: number } {
    let end = node;
    let splices = 0;
    let last = -1;
    for (let splice = this.ends[node * 2]!; splice >= 0; splice = this.other(end, splice)) {
      end = this.across(end, splice);
      last = splice;
      splices++;
      // A device's fiber is spliced once: what a crowded list says beyond that goes round for ever.
      if (this.roles[end] !== ROLES.fiber || splices > this.splices.length) break;
    }
    return { end, splices, last };
  }

  private roleOf({ cable, fiber }: { cable: string; fiber: number }): number {
    return this.roles[this.baseOf(cable) + fiber - 1]!;
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

  /** Begins where light comes from, else at the end whose cable comes first. */
  private turned(circuit: Circuit): Circuit {
    const [first, last] = [circuit.steps[0]!, circuit.steps.at(-1)!];
    const comesFrom = (end: CircuitStep): number => {
      const role = this.roleOf(end);
      const fed = role === ROLES.output ? -1 : role === ROLES.input ? 1 : 0;
      return fed * this.roles.length + this.baseOf(end.cable);
    };
    if (comesFrom(first) <= comesFrom(last)) return circuit;
    const splices = circuit.steps
      .map((step) => step.splice)
      .slice(0, -1)
      .reverse();
    const steps = [...circuit.steps]
      .reverse()
      .map((step, index) => ({ ...step, splice: splices[index] ?? null }));
    return { ...circuit, steps };
  }

  private fiberAt(at: number): { cable: string; fiber: number } {
    const node = at < this.wholes ? at : this.wholeOf[at - this.wholes]!;
    const index = this.cableIndexAt(node);
    return { cable: this.cables[index]!.id, fiber: node - this.starts[index]! + 1 };
  }

  private cableAt(node: number): NetworkCable {
    return this.cables[this.cableIndexAt(node)]!;
  }

  private cableIndexAt(node: number): number {
    let low = 0;
    let high = this.starts.length - 1;
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (this.starts[middle]! <= node) low = middle;
      else high = middle - 1;
    }
    return low;
  }
}

function rolesOf(cables: readonly NetworkCable[], nodes: number): Uint8Array {
  const roles = new Uint8Array(nodes);
  let node = 0;
  for (const { makeUp } of cables) {
    const fibers = fiberCount(makeUp);
    if (makeUp.kind === 'ports') roles.fill(ROLES.port, node, node + fibers);
    if (makeUp.kind === 'splitter') {
      roles.fill(ROLES.output, node, node + fibers);
      roles[node + fibers - 1] = ROLES.input;
    }
    node += fibers;
  }
  return roles;
}
