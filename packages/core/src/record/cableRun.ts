import { z } from 'zod';
import { idSchema } from './basics.ts';
import { issue } from './issue.ts';

/** Tenths of a millimeter, up to 1 000 km. */
const length = z.int(issue('lengthNotWhole')).min(0).max(1e10);

/**
 * How a cable runs, so that meters of fiber can be told from meters of sheath. Lengths in tenths of a
 * millimeter.
 */
export const cableRunSchema = z.object({
  /** Fiber in a length of sheath, in ten-thousandths: 10 050 is half a percent more. */
  helix: z
    .int(issue('helixTooFine'))
    .min(9900, issue('helixTooSmall'))
    .max(11_000, issue('helixTooLarge')),
  /** Length marks on the sheath where the cable enters closures; they may run up or down. */
  marks: z.array(z.object({ closureId: idSchema, mark: length })).max(200),
  /** The end that no closure has: a rack, a terminal, a house. */
  end: z
    .object({
      name: z.string().trim().min(1, issue('endNameMissing')).max(80),
      /** Distance along the route; null while unknown. */
      distance: length.nullable(),
      mark: length.nullable(),
      coil: length,
    })
    .nullable(),
  /** The reel that it came on: its number, and the length on its sheath; left out where nobody noted it. */
  reel: z
    .object({
      number: z.string().trim().min(1, issue('reelNumberMissing')).max(60),
      length: length.nullable(),
    })
    .optional(),
});

export type CableRun = z.infer<typeof cableRunSchema>;

/** Half a percent of excess fiber: common practice for stranded loose tubes, no source. */
export const USUAL_RUN: CableRun = { helix: 10_050, marks: [], end: null };
