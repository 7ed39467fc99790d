import { z } from 'zod';
import { idSchema, nameSchema, timeSchema } from './basics.ts';
import { USUAL_BUDGET, budgetSchema } from './budget.ts';
import { trayCapacitySchema } from './closure.ts';
import { limitsSchema } from './limits.ts';
import { routeLineSchema } from './position.ts';
import { USUAL_PRACTICE, practiceSchema } from './practice.ts';
import { unitsSchema } from './units.ts';

export const projectSchema = z.object({
  id: idSchema,
  name: nameSchema,
  /** Simulators work here, and nothing in it is taken for measured. It stays so once something simulated is in. */
  practiceOnly: z.boolean().default(false),
  units: unitsSchema,
  /** The color scheme new cables get. */
  schemeId: z.string(),
  limits: limitsSchema,
  /** Places on a tray where a list says nothing of its capacity. */
  trayCapacity: trayCapacitySchema,
  /** How the crew works where schools differ. */
  practice: practiceSchema.default(USUAL_PRACTICE),
  /** What glass, splices and connectors are expected to lose. */
  budget: budgetSchema.default(USUAL_BUDGET),
  /** Where the route runs on the ground. */
  route: z.array(routeLineSchema).max(100).default([]),
  createdAt: timeSchema,
});

export type Project = z.infer<typeof projectSchema>;
