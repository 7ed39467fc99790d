import type { CutMark, MarkMessage } from '@cordel/core';

/** A place of the tape with all that is marked there. */
export interface MergedMark extends Omit<CutMark, 'message'> {
  messages: MarkMessage[];
}

const isCut = ({ kind }: Pick<CutMark, 'kind'>): boolean =>
  kind === 'ring cut' || kind === 'tube cut';

/** Marks at the same place of the tape as one. A cut counts before a trim. */
export function mergedMarks(marks: readonly CutMark[]): MergedMark[] {
  const merged: MergedMark[] = [];
  for (const { message, ...mark } of marks) {
    const last = merged.at(-1);
    if (last?.at !== mark.at) merged.push({ ...mark, messages: [message] });
    else {
      last.messages.push(message);
      if (isCut(mark)) last.kind = mark.kind;
    }
  }
  return merged;
}
