/** Moves a moment of the story to where the demo has it; both in ISO 8601. */
export type Later = (moment: string) => string;

const DAY = 24 * 60 * 60_000;

/** By when all of the story has happened. */
const TOLD = Date.parse('2026-05-14T02:00:00.000Z');

/** Moves the story by whole days, so that it ended within the day before the demo is loaded. */
export function laterFor(asOf: Date): Later {
  const days = Math.floor((asOf.getTime() - TOLD) / DAY);
  return (moment) => new Date(Date.parse(moment) + days * DAY).toISOString();
}
