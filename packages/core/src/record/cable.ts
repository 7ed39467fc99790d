import { z } from 'zod';
import { MOST_FIBERS, idSchema } from './basics.ts';
import { USUAL_RUN, cableRunSchema } from './cableRun.ts';
import { USUAL_GLASS, glassSchema } from './fiberType.ts';
import { issue } from './issue.ts';

const count = (most: number) =>
  z.int(issue('countNotWhole')).min(1, issue('countTooSmall')).max(most, issue('countTooLarge'));

/** Fibers that ribbons have. */
export const RIBBON_SIZES: readonly number[] = [2, 4, 6, 8, 12, 16, 24];

/** Fibers of an array connector. */
export const ARRAY_SIZE = 12;

/** Outputs that splitters have. */
export const SPLITTER_OUTPUTS = [2, 4, 8, 16, 32, 64] as const;

/** Connectors by the names of IEC 61754 (from memory); an array has twelve fibers in one ferrule. */
export const CONNECTORS = ['SC', 'LC', 'array'] as const;
/** How the end face is polished: flat or at an angle. One does not mate with the other. */
export const POLISHES = ['UPC', 'APC'] as const;

/**
 * How a cable is made up, or a device whose fibers are spliced like a cable's.
 * - `loose-tube`: tubes of fibers in color order; past the scheme's last color fibers carry a tracer.
 * - `grouped-tube`: tubes of binder groups of 12; the groups repeat the plain colours.
 * - `ribbon`: ribbons of fibers side by side, in one central tube or in tubes.
 * - `drop`: loose fibers in one small cable.
 * - `splitter`: fibers 1 to `outputs` leave it, the next one feeds it. A tap sends `tapPercent` to output 2.
 * - `ports`: connectors of a panel, terminal or module; the fiber behind each is its number, in arrays by twelve.
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
  z.object({
    kind: z.literal('splitter'),
    outputs: z
      .int(issue('countNotWhole'))
      .refine((outputs) => SPLITTER_OUTPUTS.some((known) => known === outputs), {
        error: issue('splitterOutputsWrong'),
      }),
    /** Of two outputs the second's share of the light, percent; alike where it is left out. */
    tapPercent: z.int().min(1, issue('tapOutside')).max(49, issue('tapOutside')).optional(),
    /** Its sheet's largest loss from the input to an output, thousandths of a dB; the usual one where left out. */
    lossMdb: z
      .int()
      .min(1, issue('limitNotPositive'))
      .max(30_000, issue('splitterLossTooLarge'))
      .optional(),
  }),
  z.object({
    kind: z.literal('ports'),
    place: z.enum(['terminal', 'panel', 'module']),
    ports: count(288),
    connector: z.enum(CONNECTORS),
    polish: z.enum(POLISHES),
  }),
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
  )
  .refine(
    (makeUp) =>
      makeUp.kind !== 'splitter' || makeUp.tapPercent === undefined || makeUp.outputs === 2,
    { error: issue('tapHasTwoOutputs'), path: ['tapPercent'] },
  );

/** Kinds of make-up that are cables. */
export type CableKind = Exclude<MakeUp['kind'], 'splitter' | 'ports'>;
export type Splitter = Extract<MakeUp, { kind: 'splitter' }>;
export type Ports = Extract<MakeUp, { kind: 'ports' }>;

/** Whether it stands in a closure, and no cable enters with it. */
export const isDevice = ({ kind }: MakeUp): boolean => kind === 'splitter' || kind === 'ports';

/** The fiber that feeds a splitter. */
export const inputOf = ({ outputs }: Splitter): number => outputs + 1;

/** Fibers behind one port. */
export const portSize = ({ connector }: Ports): number => (connector === 'array' ? ARRAY_SIZE : 1);

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
    case 'splitter':
      return inputOf(makeUp);
    case 'ports':
      return makeUp.ports * portSize(makeUp);
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
  /** The closure that a splitter or ports stand in; null for a cable. */
  closureId: idSchema.nullable().default(null),
  /** The color scheme its fibers and tubes are counted by. */
  schemeId: z.string(),
  glass: glassSchema.default(USUAL_GLASS),
  run: cableRunSchema.default(USUAL_RUN),
});

export type Cable = z.infer<typeof cableSchema>;
