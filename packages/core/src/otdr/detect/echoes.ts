/** What is needed of an event to tell an echo. Meters, dB. */
interface Reflecting {
  positionM: number;
  lossDb: number | null;
  sigmaDb: number | null;
  /** Height of the peak; null without one. */
  peakDb: number | null;
}

/** How far an echo may lie from the sum of its mirrors, m, and in pulses. */
const NEAR_M = 4;
/** A mirror loses more than so much, dB, or so many deviations; an echo loses nothing. */
const LOSES = { db: 0.02, deviations: 3 };

/**
 * Whether light came this far only by going to and fro: a reflection is seen again at the sum of the distances of two
 * mirrors (or of one twice), and loses nothing there. Common practice, no source.
 * @param pulseM meters that a pulse covers
 */
export function isEcho(event: Reflecting, events: readonly Reflecting[], pulseM: number): boolean {
  const { lossDb: loss, sigmaDb: sigma, peakDb } = event;
  if (peakDb === null || loss === null) return false;
  if (Math.abs(loss) > Math.max(LOSES.db, LOSES.deviations * sigma!)) return false;
  const mirrors = events.filter(
    (other) => other !== event && other.peakDb !== null && other.positionM < event.positionM,
  );
  return isSumOfTwo(
    event.positionM,
    mirrors.map(({ positionM }) => positionM),
    NEAR_M + pulseM / 2,
  );
}

/** Whether a place is as far as two of the mirrors together. */
export const isSumOfTwo = (place: number, mirrors: readonly number[], near: number): boolean =>
  mirrors.some((one) => mirrors.some((two) => Math.abs(one + two - place) <= near));
