import type { TraceEvent } from '../detect/analyse.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

/** An event seen from both ends. Losses in dB. */
export interface PairedEvent {
  /** Meters of fiber from end A. */
  positionM: number;
  forwardDb: number | null;
  backwardDb: number | null;
  /** The true loss: the mean of both directions; null where one is missing. */
  meanDb: number | null;
  sigmaDb: number | null;
}

/** Events closer than this from both ends are one and the same, m. */
const NEAR = 60;

/**
 * Pairs the events of a fiber shot from both ends. The mean of both directions is the true loss, for the
 * difference of backscatter turns its sign; an event seen one way only is kept, with what is missing.
 * @param length meters of fiber from end to end
 */
export function pairEvents(
  fromA: readonly TraceEvent[],
  fromB: readonly TraceEvent[],
  length: number,
): PairedEvent[] {
  const back = fromB
    .filter(({ kind }) => kind !== 'end')
    .map((event) => ({ ...event, positionM: length - event.positionM }));
  const free = new Set(back);
  const pairs = fromA
    .filter(({ kind }) => kind !== 'end')
    .map((event): PairedEvent => {
      let best: TraceEvent | null = null;
      for (const other of free) {
        const off = Math.abs(other.positionM - event.positionM);
        if (off <= NEAR && (!best || off < Math.abs(best.positionM - event.positionM)))
          best = other;
      }
      if (best) free.delete(best);
      const both = best !== null && event.lossDb !== null && best.lossDb !== null;
      return {
        positionM: event.positionM,
        forwardDb: event.lossDb,
        backwardDb: best?.lossDb ?? null,
        meanDb: both ? (event.lossDb! + best!.lossDb!) / 2 : null,
        sigmaDb: both ? Math.hypot(event.sigmaDb!, best!.sigmaDb!) / 2 : null,
      };
    });
  const alone = [...free].map(({ positionM, lossDb }): PairedEvent => ({
    positionM,
    forwardDb: null,
    backwardDb: lossDb,
    meanDb: null,
    sigmaDb: null,
  }));
  return [...pairs, ...alone].sort((a, b) => a.positionM - b.positionM);
}
