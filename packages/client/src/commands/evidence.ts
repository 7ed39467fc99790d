import { z } from 'zod';
import { evidenceSchema } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

export const recordEvidence = command({
  name: 'evidence.record',
  isRecord: true,
  schema: z.object({ entries: z.array(evidenceSchema).min(1) }),
  send: (api, { entries }) => answerOf(api.POST('/api/evidence', { body: { entries } })),
  apply: (rows, { entries }) => rows.append('evidence', entries),
});
