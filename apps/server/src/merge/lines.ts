import { diff3Merge } from 'node-diff3';
import type { Conflict } from './records.ts';

const linesOf = (text: string): string[] => text.split('\n');

/**
 * A text as one person would have it, with the lines that others have changed since that person read it. Lines that
 * lie side by side count as the same place.
 */
export function mergeLines(
  base: string,
  current: string,
  mine: string,
): { merged: string; conflicts: Conflict[] } {
  const lines: string[] = [];
  const conflicts: Conflict[] = [];
  const regions = diff3Merge(linesOf(mine), linesOf(base), linesOf(current), {
    excludeFalseConflicts: true,
  });
  for (const { ok, conflict } of regions) {
    if (ok) lines.push(...ok);
    if (!conflict) continue;
    conflicts.push({
      field: `line ${conflict.aIndex + 1}`,
      theirs: conflict.b.join('\n'),
      mine: conflict.a.join('\n'),
    });
  }
  return { merged: lines.join('\n'), conflicts };
}
