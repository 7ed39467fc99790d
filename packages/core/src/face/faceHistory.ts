import type { Evidence, Inspection } from '../record/evidence.ts';

/** How an end face came to be as it is: each look at it, and the cleaning between. */
export interface FaceHistory {
  /** Looks at the face of the end as it was made last, oldest first. */
  looks: Inspection[];
  before: Inspection | null;
  /** The last look; null while there is one only. */
  after: Inspection | null;
  /** How often it was cleaned in all. */
  cleanings: number;
}

/**
 * The looks at an end face since the end was made last.
 * @param evidence all entries of one end, in the order in which they were recorded
 */
export function faceHistoryOf(evidence: readonly Evidence[], tryId: string | null): FaceHistory {
  const superseded = new Set(
    evidence.flatMap((entry) =>
      entry.type === 'ruling' || entry.supersedes === null ? [] : [entry.supersedes],
    ),
  );
  const looks = evidence.filter(
    (entry): entry is Inspection =>
      entry.type === 'inspection' &&
      entry.face !== null &&
      !entry.void &&
      !superseded.has(entry.id) &&
      entry.tryId === tryId,
  );
  return {
    looks,
    before: looks[0] ?? null,
    after: looks.length > 1 ? looks.at(-1)! : null,
    cleanings: looks.reduce((sum, { cleanings }) => sum + (cleanings ?? 0), 0),
  };
}
