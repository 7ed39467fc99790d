import { bigserial, index, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';
import type { Evidence, Splice } from '@cordel/core';

const moment = (name: string) => timestamp(name, { withTimezone: true });

/** Entries that a device with a wrong clock made: what it said, and what is recorded. Appended only. */
export const clockCorrections = pgTable(
  'clock_corrections',
  {
    entryId: uuid('entry_id').primaryKey(),
    projectId: uuid('project_id').notNull(),
    by: text().notNull(),
    /** By the device's clock. */
    saidAt: moment('said_at').notNull(),
    /** By ours. */
    correctedAt: moment('corrected_at').notNull(),
  },
  (table) => [index('clock_corrections_project').on(table.projectId, table.correctedAt)],
);

/**
 * Splices without evidence that a changed plan dropped. Somebody without a connection may have made them meanwhile: then
 * a person decides what counts.
 */
export const droppedSplices = pgTable(
  'dropped_splices',
  {
    id: uuid().primaryKey(),
    projectId: uuid('project_id').notNull(),
    closureId: uuid('closure_id').notNull(),
    splice: jsonb().$type<Splice>().notNull(),
    /** Who changed the plan; null where nobody signs in. */
    by: text(),
    at: moment('at').notNull(),
  },
  (table) => [index('dropped_splices_closure').on(table.closureId)],
);

/** What came of dropped splices, in its order, until somebody has decided: then it is recorded. */
export const undecidedEvidence = pgTable(
  'undecided_evidence',
  {
    seq: bigserial({ mode: 'number' }).primaryKey(),
    id: uuid().notNull().unique(),
    spliceId: uuid('splice_id')
      .notNull()
      .references(() => droppedSplices.id),
    /** With its receipt, where people sign in. */
    entry: jsonb().$type<Evidence>().notNull(),
    receivedAt: moment('received_at').notNull().defaultNow(),
  },
  (table) => [index('undecided_evidence_splice').on(table.spliceId)],
);
