import { formatMoment } from '@cordel/core';

interface NamedShot {
  name: string;
  /** ISO 8601; null where the instrument's clock was never set. */
  measuredAt: string | null;
}

/** What a shot is called among others: by its name, and where others have the same, by when it was shot. */
export function shotNames<Shot extends NamedShot>(
  shots: readonly Shot[],
  timeZone: string,
): (shot: NamedShot) => string {
  const counts = new Map<string, number>();
  for (const { name } of shots) counts.set(name, (counts.get(name) ?? 0) + 1);
  return ({ name, measuredAt }) =>
    (counts.get(name) ?? 0) > 1 && measuredAt !== null
      ? `${name}, ${formatMoment(measuredAt, timeZone)}`
      : name;
}
