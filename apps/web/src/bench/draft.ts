import { useCallback } from 'react';
import type { Evidence } from '@cordel/core';
import { usePersisted } from '@/data/storage';

export type BenchMode = 'splice' | 'redo' | 'measure';

/** One thing that was recorded at the Bench, so that it can be taken back. */
export interface RecordedStep {
  sleeve: string;
  entries: Evidence[];
  words: string;
  /** Whether a joint was kept: only such a one goes into the heater. */
  kept: boolean;
}

/** Steps that can be taken back. */
const MOST_STEPS = 30;

/** The history with a step more. */
export const withStep = (history: readonly RecordedStep[], step: RecordedStep): RecordedStep[] =>
  [...history, step].slice(-MOST_STEPS);

/** What is in hand at a closure's Bench: kept with every key, so that a reload loses nothing. */
export interface BenchDraft {
  /** Key of the sleeve in hand, or null to take the next that waits. */
  sleeve: string | null;
  /** What is typed, by splice. */
  typed: Record<string, string>;
  /** Which fiber of a ribbon is typed now. */
  cursor: number;
  /** What is measured, in measure mode. */
  wavelengthNm: number | null;
  kind: 'AB' | 'BA' | 'two-way' | 'insertion';
  /** The splicer's record the figures come from; null where they are typed. */
  recordId: string | null;
  /** Records up to this place in the stream were looked at; null before any was. */
  seen: number | null;
  /** A record that stopped before the arc, still to be read. */
  stopped: string | null;
  /** The step in hand, and whether the sleeve is on. */
  step: number;
  sleeveOn: boolean;
  /** What was recorded here, the last one last, for undo. */
  history: RecordedStep[];
}

const EMPTY: BenchDraft = {
  sleeve: null,
  typed: {},
  cursor: 0,
  wavelengthNm: null,
  kind: 'AB',
  recordId: null,
  seen: null,
  stopped: null,
  step: 0,
  sleeveOn: false,
  history: [],
};

/** What is put back when another joint comes into the hands. */
export const FRESH = {
  cursor: 0,
  typed: {},
  recordId: null,
  stopped: null,
  step: 0,
  sleeveOn: false,
} satisfies Partial<BenchDraft>;

/** The draft of a closure and mode, and a way to change parts of it. */
export function useBenchDraft(
  closureId: string,
  mode: BenchMode,
): [BenchDraft, (change: Partial<BenchDraft>) => void] {
  const [text, setText] = usePersisted(`cordel.bench.${mode}.${closureId}`, '');
  const draft = readDraft(text);
  const change = useCallback(
    (part: Partial<BenchDraft>) => setText(JSON.stringify({ ...readDraft(text), ...part })),
    [text, setText],
  );
  return [draft, change];
}

function readDraft(text: string): BenchDraft {
  try {
    return text === '' ? EMPTY : { ...EMPTY, ...(JSON.parse(text) as Partial<BenchDraft>) };
  } catch {
    return EMPTY;
  }
}
