import { z } from 'zod';
import { MOST_FIBERS, idSchema } from './basics.ts';
import { USUAL_RUN, cableRunSchema } from './cableRun.ts';
import { USUAL_GLASS, glassSchema } from './fiberType.ts';
import { issue } from './issue.ts';

const count = (most: number) =>
  z.int(issue('countNotWhole')).min(1, issue('countTooSmall')).max(most, issue('countTooLarge'));

/** Fibers that ribbons have. */
export const RIBBON_SIZES: readonly number[] = [2, 4, 6, 8, 12, 16, 24];

/**
 * How a cable is made up.
 * - `loose-tube`: tubes of fibers in colour order; past the scheme's last colour fibers carry a tracer.
 * - `grouped-tube`: tubes of binder groups of 12; the groups repeat the plain colours.
 * - `ribbon`: ribbons of fibers side by side, in one central tube or in tubes.
 * - `drop`: loose fibers in one small cable.
 */
const makeUpKinds = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('loose-tube'),
    tubes: count(144),
    fibersPerTube: count(24),
  }),
  z.object({
    kind: z.literal('grouped-tube'),
    tubes: count(144),
    groupsPerTube: count(4),
  }),
  z.object({
    kind: z.literal('ribbon'),
    ribbons: count(576),
    /** 12 where it is left out. */
    fibersPerRibbon: z
      .int(issue('countNotWhole'))
      .refine((size) => RIBBON_SIZES.includes(size), { error: issue('ribbonSizeWrong') })
      .optional(),
    /** Ribbons in each of its tubes; one central tube where it is left out. */
    ribbonsPerTube: count(48).optional(),
    /** Flat where it is left out. */
    rollable: z.literal(true).optional(),
  }),
  z.object({ kind: z.literal('drop'), fibers: count(24) }),
]);

export type MakeUp = z.infer<typeof makeUpKinds>;

export const makeUpSchema = makeUpKinds
  .refine((makeUp) => fiberCount(makeUp) <= MOST_FIBERS, { error: issue('fibersTooMany') })
  .refine(
    (makeUp) =>
      makeUp.kind !== 'ribbon' ||
      makeUp.ribbonsPerTube === undefined ||
      makeUp.ribbons % makeUp.ribbonsPerTube === 0,
    { error: issue('ribbonsLeftOver'), path: ['ribbonsPerTube'] },
  );

/** Fibers in a binder group, and in a ribbon unless its cable says otherwise. */
export const GROUP_SIZE = 12;

/** How many fibers a cable of this make-up carries. */
export function fiberCount(makeUp: MakeUp): number {
  switch (makeUp.kind) {
    case 'loose-tube':
      return makeUp.tubes * makeUp.fibersPerTube;
    case 'grouped-tube':
      return makeUp.tubes * makeUp.groupsPerTube * GROUP_SIZE;
    case 'ribbon':
      return makeUp.ribbons * (makeUp.fibersPerRibbon ?? GROUP_SIZE);
    case 'drop':
      return makeUp.fibers;
  }
}

export const cableNameSchema = z
  .string()
  .trim()
  .min(1, issue('cableNameMissing'))
  .max(40, issue('cableNameTooLong'));

export const cableSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  name: cableNameSchema,
  makeUp: makeUpSchema,
  /** The colour scheme its fibers and tubes are counted by. */
  schemeId: z.string(),
  glass: glassSchema.default(USUAL_GLASS),
  run: cableRunSchema.default(USUAL_RUN),
});

export type Cable = z.infer<typeof cableSchema>;
