import type { CutMark } from '@cordel/core';

/** Marks at the same place of the tape as one. A cut counts before a trim. */
export function mergedMarks(marks: readonly CutMark[]): CutMark[] {
  const merged: CutMark[] = [];
  for (const mark of marks) {
    const last = merged.at(-1);
    if (last?.at !== mark.at) merged.push({ ...mark });
    else {
      last.words = `${last.words}; ${mark.words}`;
      if (/cut/.test(mark.kind)) last.kind = mark.kind;
    }
  }
  return merged;
}
