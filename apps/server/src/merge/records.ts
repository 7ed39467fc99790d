import { isDeepStrictEqual } from 'node:util';
import { Problem, atPlace } from '../http/problem.ts';
import { mergeProblems as say } from '@cordel/text/server/merge';

/** A field that two people changed, each to something else. */
export interface Conflict {
  field: string;
  theirs: unknown;
  mine: unknown;
}

/**
 * A record as one person would have it, with what others have changed since that person read it. Fields that only one
 * side changed are that side's.
 * @param base as the person had read it
 * @param current as it is now
 * @param mine as the person would have it
 */
export function mergeRecords<Row extends object>(
  base: Row,
  current: Row,
  mine: Row,
): { merged: Row; conflicts: Conflict[] } {
  const merged = { ...mine };
  const conflicts: Conflict[] = [];
  // A field that one of them does not have at all was taken out, or put in.
  for (const field of Object.keys({ ...base, ...current, ...mine }) as (keyof Row & string)[]) {
    if (isDeepStrictEqual(base[field], current[field])) continue;
    if (isDeepStrictEqual(current[field], mine[field])) continue;
    if (!isDeepStrictEqual(base[field], mine[field])) {
      conflicts.push({ field, theirs: current[field], mine: mine[field] });
    } else if (field in current) merged[field] = current[field];
    else delete merged[field];
  }
  return { merged, conflicts };
}

/** What the record was as it had been read does not hold any more (RFC 9110, section 15.5.13). */
const CHANGED_MEANWHILE = 412;
/** Longest value in a message, in characters. */
const MOST_SHOWN = 200;

/** A value as the message has it; a dash where the record does not have the field at all. */
const shown = (value: unknown): string => {
  if (value === undefined) return '–';
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  return text.length > MOST_SHOWN ? `${text.slice(0, MOST_SHOWN)}…` : text;
};

/** What two people want otherwise is for them to decide: both versions are told, and nothing is written. */
export function conflictProblem(conflicts: readonly Conflict[]): Problem {
  const told = conflicts.map(({ field, theirs, mine }) =>
    say('fieldConflict', { field, theirs: shown(theirs), yours: shown(mine) }),
  );
  return new Problem(
    CHANGED_MEANWHILE,
    say('changedMeanwhile', { fields: told.map(({ text }) => text).join('; ') }),
    conflicts.map(({ field }, index) => atPlace(`/${field}`, told[index]!)),
  );
}

/**
 * What is to be saved of a record that a person read before others changed it.
 * @param base as it had been read; none where the person does not say, or it is new
 * @param current as it is now, if it is there
 * @throws Problem 412 with both versions where both changed the same field
 */
export function mergedRecord<Row extends object>(
  base: Row | undefined,
  current: Row | undefined,
  mine: Row,
): Row {
  if (!base || !current) return mine;
  const { merged, conflicts } = mergeRecords(base, current, mine);
  if (conflicts.length > 0) throw conflictProblem(conflicts);
  return merged;
}
