import type { Evidence, Inspection, Reading } from '../../record/evidence.ts';

export type BenchMode = 'splice' | 'redo' | 'measure';

/** What is measured: one way from either end, the average of both, or by insertion. */
export type MeasuredKind = 'AB' | 'BA' | 'two-way' | 'insertion';

/** One thing that was recorded at the Bench, so that it can be taken back. */
export interface RecordedStep {
  sleeve: string;
  entries: Evidence[];
  /** Names the fibers that it is of. */
  words: string;
  /** Whether a splice was kept: only such a one goes into the heater. */
  kept: boolean;
}

/** What is in hand at a closure's Bench. */
export interface BenchState {
  /** Key of the sleeve in hand, or null to take the next that waits. */
  sleeve: string | null;
  /** What is typed, by splice. */
  typed: Record<string, string>;
  /** Which fiber of a ribbon is typed now. */
  cursor: number;
  /** What is measured, in measure mode. */
  wavelengthNm: number | null;
  kind: MeasuredKind;
  /** The splicer's record the figures come from; null where they are typed. */
  recordId: string | null;
  /** Records up to this place in the stream were looked at; null before any was. */
  seen: number | null;
  /** A record that stopped before the arc, still to be read. */
  stopped: string | null;
  /** What is seen of the end in hand, before it is recorded. */
  end: Pick<Inspection, 'face' | 'light'>;
  /** The step in hand, and whether the sleeve is on. */
  step: number;
  sleeveOn: boolean;
  /** What was recorded here, the last one last, for undo. */
  history: RecordedStep[];
}

/** What another splice in the hands begins with. */
export const NEW_IN_HAND = {
  cursor: 0,
  typed: {},
  recordId: null,
  stopped: null,
  step: 0,
  sleeveOn: false,
  end: { face: null, light: null },
} satisfies Partial<BenchState>;

const EMPTY: BenchState = {
  ...NEW_IN_HAND,
  sleeve: null,
  wavelengthNm: null,
  kind: 'AB',
  seen: null,
  history: [],
};

/** A state as it was kept; one that cannot be read begins anew. */
export function readBenchState(text: string): BenchState {
  try {
    return text === '' ? EMPTY : { ...EMPTY, ...(JSON.parse(text) as Partial<BenchState>) };
  } catch {
    return EMPTY;
  }
}

/** Grade and direction of the figure that is being typed. */
export const readingKind = (kind: MeasuredKind): Pick<Reading, 'grade' | 'direction'> =>
  kind === 'AB' || kind === 'BA'
    ? { grade: 'one-way', direction: kind }
    : { grade: kind, direction: null };
