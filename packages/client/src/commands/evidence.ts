import { z } from 'zod';
import { evidenceSchema, mostOf, rightForEvidence } from '@cordel/core';
import { answerOf } from '../api/api.ts';
import { command } from './command.ts';

/** What the server takes at once. */
const MOST_ENTRIES = 500;

export const recordEvidence = command({
  name: 'evidence.record',
  needs: ({ entries }) => ({ right: mostOf(entries.map(rightForEvidence)) }),
  isRecord: true,
  schema: z.object({ entries: z.array(evidenceSchema).min(1) }),
  merge: (inputs) => {
    const entries = inputs.flatMap((input) => input.entries);
    return entries.length > MOST_ENTRIES ? null : { entries };
  },
  send: (api, { entries }) => answerOf(api.POST('/api/evidence', { body: { entries } })),
  apply: (rows, { entries }) => rows.append('evidence', entries),
});
