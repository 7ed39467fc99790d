/**
 * A step without a reflection is a splice or a bend, one as large as a splitter's is a `splitter`; an `echo` is a
 * reflection that light came to by a detour.
 */
type EventKind = 'splice' | 'reflection' | 'splitter' | 'echo' | 'end';

/** A place of a trace where its level changes. Places in samples. */
export interface FoundEvent {
  sampleIndex: number;
  kind: EventKind;
  /** Loss in dB, a gain below zero, and its standard deviation; null at the end of the fiber. */
  lossDb: number | null;
  sigmaDb: number | null;
  /** Height of the peak over the level before it, dB; null without one. */
  peakDb: number | null;
  /** Whether the peak is as high as the instrument shows: it may be higher. */
  isSaturated: boolean;
  /** How far its place may be off, one standard deviation. */
  spreadSamples: number;
}
