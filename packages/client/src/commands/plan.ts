import { z } from 'zod';
import { idSchema, personSchema, planSchema, reasonSchema, timeSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

/** Splices follow from the plan on the server; nothing of it shows before. */
export const savePlan = command({
  name: 'plan.save',
  needs: () => ({ right: 'decide' }),
  schema: planSchema.extend({
    changeId: idSchema,
    anew: z.boolean(),
    base: planSchema.pick({ text: true, pins: true, spare: true }).optional(),
    retire: z.object({ by: personSchema, at: timeSchema, why: reasonSchema }).nullable(),
  }),
  send: (api, plan) =>
    answerOf(
      api.PUT('/api/closures/{closureId}/plan', {
        params: { path: { closureId: plan.closureId } },
        body: plan,
      }),
    ),
});
