import type { Method } from '../record/splice.ts';

/** A place in a plan's text: the line from 0, and the columns it covers, from 0, the end not included. */
export interface Span {
  line: number;
  from: number;
  to: number;
}

/** What is wrong at a place of the text, and what would be right. */
export interface PlanError extends Span {
  message: string;
}

/** Runs of fibers in the order in which they are written, both ends included: `73-96` is `[73, 96]`. */
export type Run = readonly [first: number, last: number];

/** Fibers of one cable that a line names. */
export interface Selection {
  cable: string;
  runs: Run[];
  /** What the selection was counted in. */
  by: 'fiber' | 'tube' | 'group' | 'ribbon' | 'all';
  span: Span;
}

export const VERBS = ['splice', 'through', 'dead', 'reserve'] as const;
export type Verb = (typeof VERBS)[number];

/** One line of a plan. `b` is there for `splice` only; `note` is what stands in quotes at the end. */
export interface PlanLine {
  verb: Verb;
  a: Selection;
  b: Selection | null;
  method: Method;
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
