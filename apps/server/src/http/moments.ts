import { isFuture } from '@cordel/core';
import { Problem } from './problem.ts';

/** A moment as a message has it. */
export const utcOf = (at: string): string => `${at.slice(0, 16).replace('T', ' ')} UTC`;

/** Why a moment that is still to come is refused. */
export const futureWords = (at: string, now: string): string =>
  `It is from ${utcOf(at)}, and it is ${utcOf(now)} now: the clock of the device is ahead. Set its date and time, then record it anew.`;

/**
 * Refuses what was done at a moment that is still to come, beyond what two clocks may differ by.
 * @throws Problem 422 at the first such entry
 */
export function refuseFuture(entries: readonly { at: string }[]): void {
  const now = new Date().toISOString();
  const index = entries.findIndex(({ at }) => isFuture(at, now));
  if (index < 0) return;
  const detail = futureWords(entries[index]!.at, now);
  throw new Problem(422, detail, [{ place: `/entries/${index}/at`, detail }]);
}
