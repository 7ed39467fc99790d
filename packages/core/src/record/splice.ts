import { z } from 'zod';
import { MOST_FIBERS, idSchema } from './basics.ts';
import { issue } from './issue.ts';

/** `single`: one fiber on one sleeve. `mass`: a fiber of a ribbon fused with its neighbours on one sleeve. */
export const methodSchema = z.enum(['single', 'mass']);

const fiberSchema = z
  .int(issue('fiberNotWhole'))
  .min(1, issue('fiberBelowOne'))
  .max(MOST_FIBERS, issue('fibersTooMany'));

/** An express cable comes in on one leg and leaves on the other; any other cable has the first only. */
export const LEGS = ['in', 'out'] as const;
export const legSchema = z.enum(LEGS);
export type Leg = z.infer<typeof legSchema>;

/** The leg of an express cable whose fiber is spliced; null where its cable has one end here. */
const spliceLegSchema = legSchema.nullable().default(null);

/** One planned joint of two fibers at a place on a tray. */
export const spliceSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  closureId: idSchema,
  tray: z.int().min(1).max(200),
  slot: z.int().min(1).max(200),
  cableA: idSchema,
  fiberA: fiberSchema,
  legA: spliceLegSchema,
  cableB: idSchema,
  fiberB: fiberSchema,
  legB: spliceLegSchema,
  method: methodSchema,
  /** Columns of an imported splice list that Cordel has no place for, kept as they came. */
  extra: z.record(z.string(), z.string()),
});

export type Method = z.infer<typeof methodSchema>;
export type Splice = z.infer<typeof spliceSchema>;
