import { z } from '@hono/zod-openapi';
import { evidenceSchema, linkEntrySchema, receivedRecordSchema } from '@cordel/core';
import { closingEntrySchema } from '@cordel/core/closing';

/** What is only named: whoever shows it asks for it again. */
const namedSchema = z.object({
  kind: z.enum([
    'project',
    'cable',
    'closure',
    'assembly',
    'plan',
    'splices',
    'scheme',
    'hardware',
    'instrument',
    'archive',
    'set-aside',
    'instrument-log',
    'trace',
    'trace-place',
    'photo',
    'signed',
    'package',
  ]),
  /** Of the record, or of the closure that it is of. */
  id: z.string(),
});

/** One write of one record. What is appended comes along. */
const changeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('evidence'), entry: evidenceSchema }),
  z.object({ kind: z.literal('closing'), entry: closingEntrySchema }),
  z.object({ kind: z.literal('link'), entry: linkEntrySchema }),
  z.object({ kind: z.literal('splicer-record'), record: receivedRecordSchema }),
  namedSchema,
]);

export const changesSchema = z.object({
  /** What to ask for changes after, the next time. */
  cursor: z.string(),
  changes: z.array(changeSchema),
  /** Some of what came after the cursor is not kept any more: ask for everything again. */
  reset: z.boolean(),
  /** There are more right behind. */
  more: z.boolean(),
});

export type Named = z.infer<typeof namedSchema>;
export type Change = z.infer<typeof changeSchema>;
export type ChangesAnswer = z.infer<typeof changesSchema>;
