import { type MakeUp, makeUpSchema } from '@cordel/core';
import { issueText } from '@cordel/text/record';

/** A make-up as it is typed: figures may be empty for the moment. */
export interface TypedMakeUp {
  kind: MakeUp['kind'];
  first: string;
  second: string;
}

export function typeMakeUp(makeUp: MakeUp): TypedMakeUp {
  switch (makeUp.kind) {
    case 'loose-tube':
      return {
        kind: makeUp.kind,
        first: String(makeUp.tubes),
        second: String(makeUp.fibersPerTube),
      };
    case 'grouped-tube':
      return {
        kind: makeUp.kind,
        first: String(makeUp.tubes),
        second: String(makeUp.groupsPerTube),
      };
    case 'ribbon':
      return { kind: makeUp.kind, first: String(makeUp.ribbons), second: '' };
    case 'drop':
      return { kind: makeUp.kind, first: String(makeUp.fibers), second: '' };
  }
}

/** Reads what is typed: a make-up, or what is wrong with it. */
export function readMakeUp({
  kind,
  first,
  second,
}: TypedMakeUp): { makeUp: MakeUp } | { error: string } {
  const [one, two] = [first, second].map((text) =>
    /^\d+$/.test(text.trim()) ? Number(text) : Number.NaN,
  );
  const draft = {
    'loose-tube': { kind, tubes: one, fibersPerTube: two },
    'grouped-tube': { kind, tubes: one, groupsPerTube: two },
    ribbon: { kind, ribbons: one },
    drop: { kind, fibers: one },
  }[kind];
  const read = makeUpSchema.safeParse(draft);
  return read.success ? { makeUp: read.data } : { error: issueText(read.error.issues[0]!) };
}
