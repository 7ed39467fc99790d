import { z } from 'zod';
import { groupBy } from '../groupBy.ts';
import { unitSize } from '../fiber/address.ts';
import { fibersASleeve } from '../fiber/ribbons.ts';
import { type FiberPairs, fiberPairsSchema } from '../record/message.ts';
import { runsOf, wordsOf } from './expand.ts';
import type { Network } from './network.ts';

/** What looks wrong with a splice or with fibers of a cable. */
export const networkMessageSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('thirdSplice'), fibers: fiberPairsSchema }),
  z.object({ code: z.literal('circle'), fibers: fiberPairsSchema }),
  /** A whole ribbon is flipped, or fibers count down. */
  z.object({
    code: z.enum(['ribbonFlipped', 'countsDown']),
    fibers: fiberPairsSchema,
    neighbours: z.int(),
  }),
  z.object({
    code: z.literal('outOfLine'),
    fibers: fiberPairsSchema,
    cable: z.string(),
    fiber: z.int(),
  }),
  /** Outputs of two splitters meet, or a splitter has outputs in use and no feed. */
  z.object({ code: z.literal('fedFromTwo'), splitters: z.array(z.string()) }),
  z.object({ code: z.literal('notFed'), splitter: z.string() }),
  z.object({ code: z.literal('unassigned'), cable: z.string(), runs: z.string(), fibers: z.int() }),
]);
export type NetworkMessage = z.infer<typeof networkMessageSchema>;

/** What looks wrong in a network, where, and why. */
export interface NetworkProblem {
  kind: 'circle' | 'twice' | 'ends' | 'shift' | 'flip' | 'feed';
  closure: string | null;
  /** The splice that shows it, or -1 where there is none. */
  splice: number;
  message: NetworkMessage;
}

/** Whether a plan says of a fiber in a closure that it is meant so. */
export type OnPurpose = (closure: string, cable: string, fiber: number) => boolean;

/**
 * Finds what looks wrong in a network: fibers that go round in a circle or have a third splice, fibers
 * with an unassigned end, shifts and flips against their neighbors.
 * @param known fibers that end where they do on purpose: dead, reserved or passing through
 * @param turned fibers of ribbons that a plan lays the other way round on purpose
 */
export const findNetworkProblems = (
  network: Network,
  known: OnPurpose,
  turned: OnPurpose = () => false,
): NetworkProblem[] => new ProblemFinder(network).find(known, turned);

class ProblemFinder {
  private readonly network: Network;

  constructor(network: Network) {
    this.network = network;
  }

  find(known: OnPurpose, turned: OnPurpose): NetworkProblem[] {
    const problems: NetworkProblem[] = this.network.crowded.map((splice) => ({
      kind: 'twice',
      closure: this.network.splices[splice]!.closure,
      splice,
      message: { code: 'thirdSplice', fibers: this.pair(splice) },
    }));
    for (const splice of this.network.survey().circles) {
      if (this.network.crowded.includes(splice)) continue;
      problems.push({
        kind: 'circle',
        closure: this.network.splices[splice]!.closure,
        splice,
        message: { code: 'circle', fibers: this.pair(splice) },
      });
    }
    for (const group of this.neighbours()) problems.push(...this.oddOnes(group, turned));
    return [...problems, ...this.feeds(), ...this.looseEnds(known)];
  }

  private feeds(): NetworkProblem[] {
    return this.network.feedProblems().map(({ cable, code, other }) => ({
      kind: 'feed',
      closure: this.network.cables.find(({ id }) => id === cable)?.closureId ?? null,
      splice: -1,
      message:
        code === 'notFed'
          ? { code, splitter: this.nameOf(cable) }
          : { code, splitters: [this.nameOf(cable), this.nameOf(other)] },
    }));
  }

  private nameOf(cable: string): string {
    return this.network.cables.find((entry) => entry.id === cable)?.name ?? cable;
  }

  private pair(index: number): FiberPairs {
    const { cableA, fiberA, cableB, fiberB } = this.network.splices[index]!;
    return {
      pairs: [{ cableA: this.nameOf(cableA), fiberA, cableB: this.nameOf(cableB), fiberB }],
    };
  }

  /** Fibers that lie in one ribbon where a splice is, or are ribbonized together. */
  private ribbonAt(index: number): number {
    const { cableA, cableB } = this.network.splices[index]!;
    const makeUpOf = (id: string) => this.network.cables.find((cable) => cable.id === id)!.makeUp;
    return fibersASleeve(makeUpOf(cableA), makeUpOf(cableB));
  }

  private isMeant(index: number, meant: OnPurpose): boolean {
    const { closure, cableA, fiberA } = this.network.splices[index]!;
    return meant(closure, cableA, fiberA);
  }

  /** Splices of one closure that join the same tube or ribbon of A to the same of B. */
  private neighbours(): number[][] {
    const sizes = new Map(this.network.cables.map((cable) => [cable.id, unitSize(cable.makeUp)]));
    const { splices } = this.network;
    const groups = groupBy(splices.keys(), (index) => {
      const splice = splices[index]!;
      const a = Math.ceil(splice.fiberA / sizes.get(splice.cableA)!);
      const b = Math.ceil(splice.fiberB / sizes.get(splice.cableB)!);
      return `${splice.closure} ${splice.cableA} ${a} ${splice.cableB} ${b}`;
    });
    return [...groups.values()].filter((group) => group.length >= 3);
  }

  /** Splices that step out of line with their neighbors, and ribbons laid the other way round. */
  private oddOnes(group: readonly number[], meant: OnPurpose): NetworkProblem[] {
    const turns = new Map<number, number[]>();
    const shifts = new Map<number, number[]>();
    for (const index of group) {
      const { fiberA, fiberB } = this.network.splices[index]!;
      push(turns, fiberA + fiberB, index);
      push(shifts, fiberB - fiberA, index);
    }
    const closure = this.network.splices[group[0]!]!.closure;
    const usual = largest(shifts);
    const turned = largest(turns);
    if (turned.length >= 3 && turned.length > usual.length) {
      if (turned.every((index) => this.isMeant(index, meant))) return [];
      const size = this.ribbonAt(group[0]!);
      const whole = group.length === size && turned.length === size;
      return [
        {
          kind: 'flip',
          closure,
          splice: turned[0]!,
          message: {
            code: whole ? 'ribbonFlipped' : 'countsDown',
            fibers: this.pair(turned[0]!),
            neighbours: turned.length - 1,
          },
        },
      ];
    }
    if (usual.length * 2 <= group.length) return [];
    const shift = this.network.splices[usual[0]!]!.fiberB - this.network.splices[usual[0]!]!.fiberA;
    return [...shifts.entries()]
      .filter(([own]) => own !== shift)
      .flatMap(([, list]) => list)
      .map((splice) => ({
        kind: 'shift' as const,
        closure,
        splice,
        message: {
          code: 'outOfLine' as const,
          fibers: this.pair(splice),
          cable: this.nameOf(this.network.splices[splice]!.cableB),
          fiber: this.network.splices[splice]!.fiberA + shift,
        },
      }));
  }

  /** Fibers that stop in a closure where others of their cable go on. */
  private looseEnds(known: OnPurpose): NetworkProblem[] {
    const used = new Map<string, Map<string, Set<number>>>();
    for (const splice of this.network.splices)
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
          message: {
            code: 'unassigned',
            cable: this.nameOf(cable),
            runs: wordsOf(runsOf(missing)),
            fibers: missing.length,
          },
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
