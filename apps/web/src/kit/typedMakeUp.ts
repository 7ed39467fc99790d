import { type CableKind, GROUP_SIZE, type MakeUp, makeUpSchema, ribbonSize } from '@cordel/core';
import { issueText } from '@cordel/text/record';

/** A make-up as it is typed: figures may be empty for the moment. */
export interface TypedMakeUp {
  kind: CableKind;
  first: string;
  second: string;
  /** Ribbons a tube; empty for one central tube. */
  third?: string;
  /** Whether ribbons are rollable; flat where it is left out. */
  rollable?: boolean;
}

/**
 * A cable's make-up as it is typed.
 * @throws RangeError for a device, which is no cable
 */
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
      return {
        kind: makeUp.kind,
        first: String(makeUp.ribbons),
        second: String(ribbonSize(makeUp)),
        third: makeUp.ribbonsPerTube === undefined ? '' : String(makeUp.ribbonsPerTube),
        rollable: makeUp.rollable ?? false,
      };
    case 'drop':
      return { kind: makeUp.kind, first: String(makeUp.fibers), second: '' };
    default:
      throw new RangeError(makeUp.kind);
  }
}

/** Reads what is typed: a make-up, or what is wrong with it. */
export function readMakeUp({
  kind,
  first,
  second,
  third = '',
  rollable = false,
}: TypedMakeUp): { makeUp: MakeUp } | { error: string } {
  const [one, two, three] = [first, second, third].map((text) =>
    /^\d+$/.test(text.trim()) ? Number(text) : Number.NaN,
  );
  const draft = {
    'loose-tube': { kind, tubes: one, fibersPerTube: two },
    'grouped-tube': { kind, tubes: one, groupsPerTube: two },
    // Twelve fibers and one central tube are what a ribbon cable has where nothing is said.
    ribbon: {
      kind,
      ribbons: one,
      ...(two !== GROUP_SIZE && { fibersPerRibbon: two }),
      ...(third.trim() !== '' && { ribbonsPerTube: three }),
      ...(rollable && { rollable: true as const }),
    },
    drop: { kind, fibers: one },
  }[kind];
  const read = makeUpSchema.safeParse(draft);
  return read.success ? { makeUp: read.data } : { error: issueText(read.error.issues[0]!) };
}
