import type { TraceEvent } from '../detect/analyse.ts';

/** A joint seen from both ends. Losses in dB. */
export interface PairedEvent {
  /** Meters of fiber from end A. */
  position: number;
  forward: number | null;
  backward: number | null;
  /** The true loss: the mean of both directions; null where one is missing. */
  mean: number | null;
  sigma: number | null;
}

/** Joints closer than this from both ends are one and the same, m. */
const NEAR = 60;

/**
 * Pairs the joints of a fiber shot from both ends. The mean of both directions is the true loss, for the
 * difference of backscatter turns its sign; a joint seen one way only is kept, with what is missing.
 * @param length meters of fiber from end to end
 */
export function pairEvents(
  fromA: readonly TraceEvent[],
  fromB: readonly TraceEvent[],
  length: number,
): PairedEvent[] {
  const back = fromB
    .filter(({ kind }) => kind !== 'end')
    .map((joint) => ({ ...joint, position: length - joint.position }));
  const free = new Set(back);
  const pairs = fromA
    .filter(({ kind }) => kind !== 'end')
    .map((joint): PairedEvent => {
      let best: TraceEvent | null = null;
      for (const other of free) {
        const off = Math.abs(other.position - joint.position);
        if (off <= NEAR && (!best || off < Math.abs(best.position - joint.position))) best = other;
      }
      if (best) free.delete(best);
      const both = best !== null && joint.loss !== null && best.loss !== null;
      return {
        position: joint.position,
        forward: joint.loss,
        backward: best?.loss ?? null,
        mean: both ? (joint.loss! + best!.loss!) / 2 : null,
        sigma: both ? Math.hypot(joint.sigma!, best!.sigma!) / 2 : null,
      };
    });
  const alone = [...free].map(({ position, loss }): PairedEvent => ({
    position,
    forward: null,
    backward: loss,
    mean: null,
    sigma: null,
  }));
  return [...pairs, ...alone].sort((a, b) => a.position - b.position);
}
