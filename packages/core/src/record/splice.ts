import { z } from 'zod';
import { MOST_FIBERS, idSchema } from './basics.ts';

/** `single`: one fiber on one sleeve. `mass`: a fiber of a ribbon fused with its neighbours on one sleeve. */
export const methodSchema = z.enum(['single', 'mass']);

const fiberSchema = z
  .int('A fiber is counted in whole numbers.')
  .min(1, 'Fibers count from 1.')
  .max(MOST_FIBERS, `A cable has at most ${MOST_FIBERS} fibers.`);

/** One planned joint of two fibers at a place on a tray. */
export const spliceSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  closureId: idSchema,
  tray: z.int().min(1).max(200),
  slot: z.int().min(1).max(200),
  cableA: idSchema,
  fiberA: fiberSchema,
  cableB: idSchema,
  fiberB: fiberSchema,
  method: methodSchema,
  /** Columns of an imported splice list that Cordel has no place for, kept as they came. */
  extra: z.record(z.string(), z.string()),
});

export type Method = z.infer<typeof methodSchema>;
export type Splice = z.infer<typeof spliceSchema>;
