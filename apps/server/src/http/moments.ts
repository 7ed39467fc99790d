import type { Sentence } from '@cordel/text/problems';
import { httpProblems as say } from '@cordel/text/server/http';

/** A moment as a message has it. */
export const utcOf = (at: string): string => `${at.slice(0, 16).replace('T', ' ')} UTC`;

/** Why a moment that is still to come is refused. */
export const futureProblem = (at: string, now: string): Sentence =>
  say('clockAhead', { at: utcOf(at), now: utcOf(now) });
