import { isFuture } from '@cordel/core';
import type { Sentence } from '@cordel/text/problems';
import { httpProblems as say } from '@cordel/text/server/http';
import { problemAt } from './problem.ts';

/** A moment as a message has it. */
export const utcOf = (at: string): string => `${at.slice(0, 16).replace('T', ' ')} UTC`;

/** Why a moment that is still to come is refused. */
export const futureProblem = (at: string, now: string): Sentence =>
  say('clockAhead', { at: utcOf(at), now: utcOf(now) });

/**
 * Refuses what was done at a moment that is still to come, beyond what two clocks may differ by.
 * @throws Problem 422 at the first such entry
 */
export function refuseFuture(entries: readonly { at: string }[]): void {
  const now = new Date().toISOString();
  const index = entries.findIndex(({ at }) => isFuture(at, now));
  if (index < 0) return;
  throw problemAt(422, `/entries/${index}/at`, futureProblem(entries[index]!.at, now));
}
