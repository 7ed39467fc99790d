import { GROUP_SIZE, type MakeUp, makeUpSchema } from '../record/cable.ts';
import type { SchemaIssue } from '../record/issue.ts';
import { type Parsed, parsed, refused } from '../record/parsed.ts';

/** Fibers a tube has where a count alone is written (common practice, no source). */
const USUAL_TUBE = 12;

/** Why a make-up cannot be read. */
export type MakeUpProblem =
  | { code: 'typeMakeUp' }
  | { code: 'notByTwelves' | 'noMakeUp'; text: string }
  /** What the schema of a make-up refuses. */
  | { code: 'invalid'; issue: SchemaIssue };

/** Forms in which a make-up is written; each gives its draft, or null where its figures do not go together. */
const FORMS: readonly [pattern: RegExp, read: (numbers: number[]) => MakeUp | null][] = [
  [
    /^(\d+) ?(?:tubes?)? ?(?:x|of) ?(\d+) ?groups?$/,
    ([tubes, groups]) => ({ kind: 'grouped-tube', tubes: tubes!, groupsPerTube: groups! }),
  ],
  [
    /^(\d+) ?(?:tubes?)? ?(?:x|of) ?(\d+)$/,
    ([tubes, fibers]) => ({ kind: 'loose-tube', tubes: tubes!, fibersPerTube: fibers! }),
  ],
  [
    /^(\d+) ?(?:tubes?)? ?(?:x|of) ?(\d+) ?ribbons$/,
    ([tubes, ribbons]) => ({
      kind: 'ribbon',
      ribbons: tubes! * ribbons!,
      ribbonsPerTube: ribbons!,
    }),
  ],
  [
    /^(\d+) ?ribbons ?(?:x|of) ?(\d+)$/,
    ([ribbons, fibers]) => ({ kind: 'ribbon', ribbons: ribbons!, fibersPerRibbon: fibers! }),
  ],
  [/^(\d+) ?ribbons$/, ([ribbons]) => ({ kind: 'ribbon', ribbons: ribbons! })],
  [
    /^(?:(\d+) ?ribbon|ribbon (\d+))$/,
    ([fibers]) =>
      fibers! % GROUP_SIZE === 0 ? { kind: 'ribbon', ribbons: fibers! / GROUP_SIZE } : null,
  ],
  [/^(?:(\d+) ?drop|drop (\d+))$/, ([fibers]) => ({ kind: 'drop', fibers: fibers! })],
  [
    /^(\d+)$/,
    ([fibers]) =>
      fibers! <= USUAL_TUBE
        ? { kind: 'loose-tube', tubes: 1, fibersPerTube: fibers! }
        : fibers! % USUAL_TUBE === 0
          ? { kind: 'loose-tube', tubes: fibers! / USUAL_TUBE, fibersPerTube: USUAL_TUBE }
          : null,
  ],
];

/**
 * Reads how a cable is made up: `144` (tubes of 12), `12x24`, `6 tubes of 8`, `24 ribbons`, `288 ribbon`
 * (fibers), `36 ribbons of 8`, `6 tubes of 12 ribbons`, `drop 12`, `6x2 groups`.
 */
export function parseMakeUp(text: string): Parsed<MakeUp, MakeUpProblem> {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(/×/g, 'x')
    .replace(/\b(\d+) ?(?:fibers?|fibres?|ct|count|f)\b/g, '$1')
    .replace(/\s+/g, ' ')
    .trim();
  if (plain === '') return refused({ code: 'typeMakeUp' });
  for (const [pattern, read] of FORMS) {
    const match = pattern.exec(plain);
    if (!match) continue;
    const draft = read(match.slice(1).flatMap((digits) => (digits ? [Number(digits)] : [])));
    if (!draft) return refused({ code: 'notByTwelves', text: text.trim() });
    const checked = makeUpSchema.safeParse(draft);
    return checked.success
      ? parsed(checked.data)
      : refused({ code: 'invalid', issue: checked.error.issues[0]! });
  }
  return refused({ code: 'noMakeUp', text: text.trim() });
}
