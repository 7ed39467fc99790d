import type { FiberProblem } from '../fiber/parse.ts';
import type { Ports } from '../record/cable.ts';
import type { EndWay, Leg, Method } from '../record/splice.ts';

/** A place in a plan's text: the line from 0, and the columns it covers, from 0, the end not included. */
export interface Span {
  line: number;
  from: number;
  to: number;
}

/** What a selection of fibers is counted in. */
export type CountedBy = 'fiber' | 'tube' | 'group' | 'ribbon' | 'port' | 'output';

/** What is wrong with a line of a plan. */
export type PlanMessage =
  | { code: 'quoteOpen' | 'sayOnto' | 'sayPorts' | 'nameCable' | 'fiberMissing' }
  | { code: 'noVerb'; text: string }
  | { code: 'noCables'; text: string }
  | { code: 'noCableMeant'; text: string; meant: string }
  | { code: 'noCable'; text: string; cables: readonly string[] }
  | { code: 'whichFibers'; cable: string }
  | { code: 'fiberProblem'; cable: string; problem: FiberProblem }
  | { code: 'groupsInTube'; cable: string }
  /** The cable has no such units and is counted by others. */
  | { code: 'noUnits'; cable: string; unit: CountedBy; countedBy: CountedBy }
  | { code: 'noGroups'; cable: string; unit: CountedBy }
  | { code: 'numberMissing'; unit: CountedBy }
  | { code: 'outside'; cable: string; unit: CountedBy; most: number; text: string }
  | { code: 'backwards'; from: number; to: number }
  | { code: 'notUnderstood'; text: string; verb: 'splice' | 'terminate' | 'other' }
  | { code: 'unequal'; fibersA: number; cableA: string; fibersB: number; cableB: string }
  /** Whole ribbons are asked for, of `size` fibers; `over` where there are as many, over two of them. */
  | {
      code: 'notWhole';
      for: 'mass' | 'reversed';
      from: number;
      to: number;
      fibers: number;
      size: number;
      over: 'yes' | 'no';
    }
  /** Fibers end at ports, and at nothing else; ports are no cable that is spliced. */
  | { code: 'notPorts' | 'portsTerminate' | 'portsFirst'; cable: string }
  /** An end of one connector or polish onto ports of another. */
  | { code: 'connectorDiffers'; cable: string; has: Ports['connector']; text: string }
  | { code: 'polishDiffers'; cable: string; has: Ports['polish']; text: string }
  | { code: 'whichPolarity' }
  /** Fibers that one connector takes are made one by one. */
  | { code: 'massNotFused'; end: EndWay }
  /** Ports whose other line says the other polarity. */
  | { code: 'polarityCrosses'; cable: string; polarity: Polarity; earlier: number }
  | { code: 'portTaken'; cable: string; runs: string; ports: number; earlier: number }
  | { code: 'fedTwice'; cable: string; earlier: number }
  /** A fiber that passes through has both its legs. */
  | { code: 'legNotHere'; cable: string; leg: Leg; verb: string }
  /** Fibers that an earlier line names, or this one (`earlier` 0). */
  | { code: 'namedTwice'; cable: string; runs: string; fibers: number; earlier: number };

/** What is wrong at a place of the text, and what would be right. */
export interface PlanError extends Span {
  message: PlanMessage;
}

/** Runs of fibers in the order in which they are written, both ends included: `73-96` is `[73, 96]`. */
export type Run = readonly [first: number, last: number];

/** Fibers of one cable that a line names. */
export interface Selection {
  cable: string;
  /** The leg of an express cable, as in `F.in`; null where none is named. */
  leg: Leg | null;
  runs: Run[];
  /** What the selection was counted in. */
  by: CountedBy | 'all';
  span: Span;
}

export const VERBS = ['splice', 'terminate', 'through', 'dead', 'reserve'] as const;
export type Verb = (typeof VERBS)[number];

/**
 * How twelve fibers meet twelve ports or the places of an array: A straight, B in reverse order. TIA-568, methods A
 * and B, from memory.
 */
export type Polarity = 'A' | 'B';

/** One line of a plan. `b` is there for `splice` and `terminate`; `note` is what stands in quotes at the end. */
export interface PlanLine {
  verb: Verb;
  a: Selection;
  b: Selection | null;
  method: Method;
  /** How an end is made; null where fibers are spliced. */
  end: EndWay | null;
  /** What a line says of the polarity of its ports; null where it says nothing. */
  polarity: Polarity | null;
  /** Whether each ribbon is laid the other way round on purpose: fiber 1 onto 12. */
  reversed: boolean;
  note: string | null;
  span: Span;
}

export interface ParsedPlan {
  lines: PlanLine[];
  errors: PlanError[];
}

/** How many fibers runs name. */
export const countOf = (runs: readonly Run[]): number =>
  runs.reduce((sum, [first, last]) => sum + last - first + 1, 0);
