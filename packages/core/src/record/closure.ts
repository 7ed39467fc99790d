import { z } from 'zod';
import { idSchema, nameSchema } from './basics.ts';
import { positionSchema } from './position.ts';
import { issue } from './issue.ts';

/** Places a tray has for single-fiber sleeves and for mass (ribbon) sleeves. */
export const trayCapacitySchema = z.object({
  single: z.int().min(0, issue('negative')).max(96, issue('over96Places')),
  mass: z.int().min(0, issue('negative')).max(24, issue('over24Places')),
});

export const traySchema = trayCapacitySchema.extend({
  number: z.int().min(1, issue('trayBelowOne')).max(200, issue('over200Trays')),
});

export const closureSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  name: nameSchema,
  /** Place in the list as it was written, used where distances are missing. */
  ordinal: z.int().min(0),
  /** Distance along the route from its start, in tenths of a millimeter; null while unknown. */
  distance: z.int().min(0, issue('distanceNegative')).max(1e11).nullable(),
  /** The closure this one branches off from, or null on the main route. */
  branchOf: idSchema.nullable(),
  /** Where it stands on the ground; null while unknown. */
  position: positionSchema.nullable().default(null),
  trays: z.array(traySchema).max(200),
});

export type TrayCapacity = z.infer<typeof trayCapacitySchema>;
export type Tray = z.infer<typeof traySchema>;
export type Closure = z.infer<typeof closureSchema>;
