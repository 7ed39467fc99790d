import { fibersASleeveOf } from './sleeves.ts';
import { type MakeUp, fiberCount, inputOf, portSize } from '../record/cable.ts';
import { type EndWay, LEGS, type Leg, type Method } from '../record/splice.ts';
import type { ParsedPlan, PlanError, PlanLine, PlanMessage, Run, Selection } from './lines.ts';
import type { ListCable } from './spliceList.ts';

/** One splice that a plan asks for; cables by name, `line` from 0. */
export interface PlannedJoint {
  cableA: string;
  fiberA: number;
  /** The leg of an express cable; null where none is named. */
  legA: Leg | null;
  cableB: string;
  fiberB: number;
  legB: Leg | null;
  method: Method;
  /** How a fiber ends at ports, which are cable B; null for a splice. */
  end: EndWay | null;
  line: number;
}

/** What a plan says of fibers that it does not splice. */
export interface FiberAssignment {
  cable: string;
  /** The stub that is meant of a fiber that is cut; null for the whole fiber. */
  leg: Leg | null;
  runs: Run[];
  verb: Exclude<PlanLine['verb'], 'splice' | 'terminate'>;
  note: string | null;
}

export interface Expanded {
  joints: PlannedJoint[];
  fates: FiberAssignment[];
  /** Lines that contradict each other. */
  errors: PlanError[];
  /** Fibers that no line names. */
  unnamed: { cable: string; runs: Run[] }[];
}

/**
 * Expands the lines of a plan to splices, and finds fibers named twice and fibers not named at all.
 * A fiber named twice is left out of the later line. Linear in the number of fibers.
 */
export function expandPlan(plan: ParsedPlan, cables: readonly ListCable[]): Expanded {
  const out: Expanded = { joints: [], fates: [], errors: [], unnamed: [] };
  const named = new Map(
    cables.map((cable): [string, NamedFibers] => {
      const fibers = fiberCount(cable.makeUp) + 1;
      return [cable.name, { in: new Int32Array(fibers), out: new Int32Array(fibers) }];
    }),
  );
  const sleeveOf = fibersASleeveOf(cables);
  const makeUps = new Map(cables.map(({ name, makeUp }) => [name, makeUp]));
  for (const line of plan.lines) {
    const a = claim(line.a, makeUps.get(line.a.cable)!, named.get(line.a.cable)!, out.errors);
    if (!line.b) {
      if (a)
        out.fates.push({
          cable: line.a.cable,
          leg: line.a.leg,
          runs: line.a.runs,
          verb: line.verb as FiberAssignment['verb'],
          note: line.note,
        });
      continue;
    }
    const b = claim(line.b, makeUps.get(line.b.cable)!, named.get(line.b.cable)!, out.errors);
    if (a && b) join(line, line.b, sleeveOf(line.a.cable, line.b.cable), out.joints);
  }
  out.errors.push(...crossedPolarities(plan.lines));
  for (const cable of cables) {
    const { in: feed, out: exit } = named.get(cable.name)!;
    const runs = runsWhere(feed, (fiber) => feed[fiber] === 0 && exit[fiber] === 0);
    if (runs.length > 0) out.unnamed.push({ cable: cable.name, runs });
  }
  return out;
}

/** By leg and fiber of a cable: the number of the line that names it, from 1; 0 where none does. */
type NamedFibers = Record<Leg, Int32Array>;

/** Marks the fibers of a selection as named by its line; false where one of them was named before. */
function claim(side: Selection, makeUp: MakeUp, named: NamedFibers, errors: PlanError[]): boolean {
  const line = side.span.line + 1;
  // Where no leg is named, the whole fiber is meant.
  const legs = side.leg ? [side.leg] : LEGS;
  let earlier = 0;
  const twice: number[] = [];
  for (const [first, last] of side.runs) {
    for (let fiber = first; fiber <= last; fiber++) {
      const before = legs.map((leg) => named[leg][fiber]!).find((number) => number !== 0);
      if (before === undefined) for (const leg of legs) named[leg][fiber] = line;
      else {
        earlier ||= before;
        twice.push(fiber);
      }
    }
  }
  if (earlier === 0) return true;
  errors.push({
    ...side.span,
    message: namedTwice(side.cable, makeUp, twice, earlier === line ? 0 : earlier),
  });
  return false;
}

function namedTwice(
  cable: string,
  makeUp: MakeUp,
  fibers: readonly number[],
  earlier: number,
): PlanMessage {
  if (makeUp.kind === 'splitter' && fibers.includes(inputOf(makeUp)))
    return { code: 'fedTwice', cable, earlier };
  if (makeUp.kind !== 'ports')
    return {
      code: 'namedTwice',
      cable,
      runs: wordsOf(runsOf(fibers)),
      fibers: fibers.length,
      earlier,
    };
  const ports = [...new Set(fibers.map((fiber) => Math.ceil(fiber / portSize(makeUp))))];
  return { code: 'portTaken', cable, runs: wordsOf(runsOf(ports)), ports: ports.length, earlier };
}

/** Ports of one place that are to have both polarities: a module is built by one of them. */
function crossedPolarities(lines: readonly PlanLine[]): PlanError[] {
  const said = new Map<string, PlanLine>();
  return lines.flatMap((line): PlanError[] => {
    if (line.polarity === null) return [];
    const { cable } = line.b!;
    const first = said.get(cable);
    if (!first) said.set(cable, line);
    if (!first || first.polarity === line.polarity) return [];
    const earlier = first.span.line + 1;
    const { polarity } = line;
    return [{ ...line.span, message: { code: 'polarityCrosses', cable, polarity, earlier } }];
  });
}

function join(line: PlanLine, onto: Selection, size: number, joints: PlannedJoint[]): void {
  const a = fibersOf(line.a.runs);
  const b = fibersOf(onto.runs);
  for (let index = 0; index < a.length; index++) {
    const inRibbon = index % size;
    const across = line.reversed ? index - inRibbon + size - 1 - inRibbon : index;
    joints.push({
      cableA: line.a.cable,
      fiberA: a[index]!,
      legA: line.a.leg,
      cableB: onto.cable,
      fiberB: b[across]!,
      legB: onto.leg,
      method: line.method,
      end: line.end,
      line: line.span.line,
    });
  }
}

/** Every fiber of runs, in their order. */
export function fibersOf(runs: readonly Run[]): number[] {
  const fibers: number[] = [];
  for (const [first, last] of runs)
    for (let fiber = first; fiber <= last; fiber++) fibers.push(fiber);
  return fibers;
}

/** Numbers as runs, each of neighbors that count up. */
export function runsOf(numbers: readonly number[]): Run[] {
  const runs: [number, number][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last && last[1] + 1 === number) last[1] = number;
    else runs.push([number, number]);
  }
  return runs;
}

function runsWhere({ length }: Int32Array, isMeant: (fiber: number) => boolean): Run[] {
  const runs: [number, number][] = [];
  for (let fiber = 1; fiber < length; fiber++) {
    if (!isMeant(fiber)) continue;
    const last = runs.at(-1);
    if (last && last[1] + 1 === fiber) last[1] = fiber;
    else runs.push([fiber, fiber]);
  }
  return runs;
}

/** Runs in words, such as `1-12, 17`. */
export const wordsOf = (runs: readonly Run[]): string =>
  runs.map(([first, last]) => (first === last ? `${first}` : `${first}-${last}`)).join(', ');
