import type { ClosingEntry, EntryOf } from '../record/closing.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';

/** A circuit in service. */
export interface LiveCircuit {
  name: string;
  /** Its fibers on the side that stays, by number. */
  fibers: readonly number[];
  /** How much a minute without it counts beside the others. */
  weight: number;
}

/** One sleeve that is broken and made anew: a fiber, or the fibers of a ribbon together. */
export interface CutOverJob {
  /** Fibers on the side that stays. */
  fibers: readonly number[];
  minutes: number;
}

/** What is done when, in minutes from the first break, and which circuits are down meanwhile. */
export interface CutOverStep {
  job: CutOverJob;
  from: number;
  to: number;
  down: string[];
}

export interface CutOverPlan {
  steps: CutOverStep[];
  circuits: { name: string; from: number; to: number; minutes: number }[];
  minutes: number;
  /** Whether no order has less weighted time down, or just a good one was found. */
  best: boolean;
}

/** Sleeves that hang together by circuits are laid out exactly up to so many. */
const EXACT = 14;

/**
 * The order of a cut-over in which circuits are down for the least time, weighed. A circuit is down from the
 * break of its first sleeve until its last is made. Circuits that share no sleeve do not hinder each other:
 * each such group is done in one go, heavier ones a minute first; within a group all orders are weighed
 * by dynamic programming over what is done already.
 * Source: Held and Karp 1962 for the dynamic programme; W. E. Smith 1956 for the order of groups (from memory).
 */
export function planCutOver(
  jobs: readonly CutOverJob[],
  circuits: readonly LiveCircuit[],
): CutOverPlan {
  const groups = groupsOf(jobs, circuits).map((group) => ordered(group));
  groups.sort((a, b) => urgency(b) - urgency(a));
  return {
    ...timesOf(
      groups.flatMap((group) => group.order),
      circuits,
    ),
    best: groups.every((group) => group.best),
  };
}

/** When each sleeve of an order is made, and from when to when its circuits are down. */
function timesOf(
  order: readonly CutOverJob[],
  circuits: readonly LiveCircuit[],
): Omit<CutOverPlan, 'best'> {
  let now = 0;
  const times = order.map((job) => ({ job, from: now, to: (now += job.minutes) }));
  const spans = circuits.flatMap((circuit) => {
    const own = times.filter(({ job }) => touches(job, circuit));
    if (own.length === 0) return [];
    const [from, to] = [own[0]!.from, own.at(-1)!.to];
    return [{ name: circuit.name, from, to, minutes: to - from }];
  });
  return {
    steps: times.map((time) => ({
      ...time,
      down: spans
        .filter((span) => span.from < time.to && span.to > time.from)
        .map(({ name }) => name),
    })),
    circuits: spans,
    minutes: now,
  };
}

/** A cut-over as it is kept with the record: what was planned, and what became of it. */
export interface KeptCutOver {
  entry: EntryOf<'cut-over'>;
  plan: Omit<CutOverPlan, 'best'>;
  circuits: CutOverCircuit[];
}

export interface CutOverCircuit {
  name: string;
  /** Minutes it was to be down. */
  planned: number;
  /** When it went down first and came back last; null for not yet. */
  downAt: string | null;
  upAt: string | null;
  /** Minutes it was down in all, rounded up; null until it is back. */
  minutes: number | null;
}

/** The cut-overs of a closure, the first one first. Of one that is planned anew, circuits start anew. */
export function cutOversOf(entries: readonly ClosingEntry[]): KeptCutOver[] {
  return entries.flatMap((entry): KeptCutOver[] => {
    if (entry.kind !== 'cut-over') return [];
    const plan = timesOf(entry.sleeves, entry.circuits);
    const words = entries.filter(
      (word): word is EntryOf<'circuit'> => word.kind === 'circuit' && word.cutOverId === entry.id,
    );
    const circuits = plan.circuits.map(({ name, minutes }): CutOverCircuit => {
      const own = words.filter(({ circuit }) => circuit === name);
      const downAt = own.find(({ state }) => state === 'down')?.at ?? null;
      const last = own.at(-1);
      const upAt = downAt !== null && last?.state === 'up' ? last.at : null;
      return {
        name,
        planned: minutes,
        downAt,
        upAt,
        minutes: upAt === null ? null : Math.ceil(timeDown(own) / 60_000),
      };
    });
    return [{ entry, plan, circuits }];
  });
}

/** Milliseconds that a circuit was down in all, by the words on it in their order. */
function timeDown(words: readonly EntryOf<'circuit'>[]): number {
  let since: number | null = null;
  let sum = 0;
  for (const { state, at } of words) {
    if (state === 'down') since ??= Date.parse(at);
    else if (since !== null) {
      sum += Math.max(0, Date.parse(at) - since);
      since = null;
    }
  }
  return sum;
}

/** Circuits that were taken down and are not back, by name. */
export const circuitsDown = (entries: readonly ClosingEntry[]): string[] =>
  cutOversOf(entries).flatMap(({ circuits }) =>
    circuits.flatMap(({ name, downAt, upAt }) => (downAt !== null && upAt === null ? [name] : [])),
  );

const touches = (job: CutOverJob, circuit: LiveCircuit): boolean =>
  job.fibers.some((fiber) => circuit.fibers.includes(fiber));

interface Group {
  jobs: CutOverJob[];
  circuits: LiveCircuit[];
}

/** Sleeves and circuits that hang together. */
function groupsOf(jobs: readonly CutOverJob[], circuits: readonly LiveCircuit[]): Group[] {
  const groups: Group[] = [];
  for (const job of jobs) {
    const own = circuits.filter((circuit) => touches(job, circuit));
    const joined = groups.filter((group) => group.circuits.some((one) => own.includes(one)));
    const merged: Group = {
      jobs: [...joined.flatMap((group) => group.jobs), job],
      circuits: [...new Set([...joined.flatMap((group) => group.circuits), ...own])],
    };
    for (const group of joined) groups.splice(groups.indexOf(group), 1);
    groups.push(merged);
  }
  return groups;
}

interface OrderedGroup {
  order: CutOverJob[];
  weight: number;
  minutes: number;
  best: boolean;
}

/** Weight a minute: what is heavy and short goes first, so that it is back soonest. */
const urgency = ({ weight, minutes }: OrderedGroup): number => weight / minutes;

function ordered({ jobs, circuits }: Group): OrderedGroup {
  const weight = circuits.reduce((sum, circuit) => sum + circuit.weight, 0);
  const minutes = jobs.reduce((sum, job) => sum + job.minutes, 0);
  if (circuits.length <= 1 || jobs.length <= 2) return { order: jobs, weight, minutes, best: true };
  if (jobs.length > EXACT) return { order: greedy(jobs, circuits), weight, minutes, best: false };
  return { order: exact(jobs, circuits), weight, minutes, best: true };
}

/** Sets of sleeves are numbers, a bit a sleeve. */
function exact(jobs: readonly CutOverJob[], circuits: readonly LiveCircuit[]): CutOverJob[] {
  const all = (1 << jobs.length) - 1;
  const sleeves = circuits.map((circuit) => ({
    weight: circuit.weight,
    own: jobs.reduce((set, job, at) => set | (touches(job, circuit) ? 1 << at : 0), 0),
  }));
  /** Weight of what is down while a sleeve is made after those that are done. */
  const down = (done: number, after: number) =>
    sleeves.reduce(
      (sum, { own, weight }) => ((own & after) !== 0 && (own & ~done) !== 0 ? sum + weight : sum),
      0,
    );
  const cost = new Float64Array(all + 1).fill(Infinity);
  const last = new Int8Array(all + 1).fill(-1);
  cost[0] = 0;
  for (let done = 0; done < all; done++)
    for (let next = 0; next < jobs.length; next++) {
      if (done & (1 << next)) continue;
      const after = done | (1 << next);
      const own = cost[done]! + down(done, after) * jobs[next]!.minutes;
      if (own >= cost[after]!) continue;
      cost[after] = own;
      last[after] = next;
    }
  const order: CutOverJob[] = [];
  for (let done = all; done !== 0; done &= ~(1 << last[done]!)) order.unshift(jobs[last[done]!]!);
  return order;
}

/** Each time the sleeve that leaves the least weight down: good, not always best. */
function greedy(jobs: readonly CutOverJob[], circuits: readonly LiveCircuit[]): CutOverJob[] {
  const left = [...jobs];
  const order: CutOverJob[] = [];
  const open = (after: readonly CutOverJob[]) =>
    circuits
      .filter(
        (circuit) =>
          after.some((job) => touches(job, circuit)) &&
          jobs.some((job) => touches(job, circuit) && !after.includes(job)),
      )
      .reduce((sum, circuit) => sum + circuit.weight, 0);
  while (left.length > 0) {
    const next = left.reduce((best, job) =>
      open([...order, job]) < open([...order, best]) ? job : best,
    );
    order.push(next);
    left.splice(left.indexOf(next), 1);
  }
  return order;
}

/** Why a list of fibers by number cannot be read. */
export type FiberNumbersProblem =
  { code: 'noFiberOrRange' | 'runsBackwards'; text: string } | { code: 'fiberTwice' };

/** Why circuits cannot be read. */
export type CircuitsProblem =
  | { code: 'lineUnreadable'; line: number }
  | { code: 'lineFibers'; line: number; problem: FiberNumbersProblem }
  | { code: 'circuitTwice'; line: number; name: string }
  | { code: 'noCircuits' };

/** Reads circuits as they are typed, a line each: `clinic: 1-2, 7` or `dairy x3: 5`. */
export function parseLive(text: string): Parsed<LiveCircuit[], CircuitsProblem> {
  const circuits: LiveCircuit[] = [];
  for (const [index, typed] of text.split('\n').entries()) {
    if (typed.trim() === '') continue;
    const match = /^(.+?)(?:\s+x(\d+))?\s*:\s*([\d,\s-]+)$/.exec(typed.trim());
    const line = index + 1;
    if (!match) return refused({ code: 'lineUnreadable', line });
    const fibers = parseFibers(match[3]!);
    if (!fibers.ok) return refused({ code: 'lineFibers', line, problem: fibers.error });
    const name = match[1]!.trim();
    if (circuits.some((one) => one.name === name))
      return refused({ code: 'circuitTwice', line, name });
    circuits.push({ name, fibers: fibers.value, weight: Number(match[2] ?? 1) });
  }
  return circuits.length === 0 ? refused({ code: 'noCircuits' }) : parsed(circuits);
}

/** Reads fibers by number: `1-4, 7`. */
export function parseFibers(text: string): Parsed<number[], FiberNumbersProblem> {
  const fibers: number[] = [];
  for (const part of text.split(',')) {
    const match = /^\s*(\d{1,4})(?:\s*-\s*(\d{1,4}))?\s*$/.exec(part);
    if (!match) return refused({ code: 'noFiberOrRange', text: part.trim() });
    const [from, to] = [Number(match[1]), Number(match[2] ?? match[1])];
    if (from < 1 || to < from) return refused({ code: 'runsBackwards', text: part.trim() });
    for (let fiber = from; fiber <= to; fiber++) fibers.push(fiber);
  }
  return new Set(fibers).size === fibers.length ? parsed(fibers) : refused({ code: 'fiberTwice' });
}
