import { index, integer, jsonb, pgTable, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core';
import { type Instrument, type InstrumentEntry, type SplicerRecord } from '@cordel/core';
import type { StandinState } from '@cordel/standin';
import { projectId } from './plant.ts';
import { nextSeq, originOf } from './columns.ts';

/** Users' own splicers and cleavers; those that ship are not stored. */
export const instruments = pgTable('instruments', {
  id: text().primaryKey(),
  record: jsonb().$type<Instrument>().notNull(),
});

/** What splicers recorded, as it came; appended only. */
export const splicerRecords = pgTable(
  'splicer_records',
  {
    id: uuid().primaryKey(),
    seq: nextSeq(),
    projectId: projectId(),
    splicerId: text('splicer_id').notNull(),
    number: integer().notNull(),
    at: timestamp({ withTimezone: true }).notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
    origin: originOf().$type<SplicerRecord['origin']>(),
    record: jsonb().$type<SplicerRecord>().notNull(),
  },
  (table) => [
    // The same run of the same splicer, sent again under another id, is the same record.
    unique('splicer_records_run').on(table.projectId, table.splicerId, table.number, table.at),
    index('splicer_records_seq').on(table.projectId, table.seq),
  ],
);

/** Records that belong to no splice, by a person's word; appended only. */
export const setAsides = pgTable('set_asides', {
  id: uuid().primaryKey(),
  seq: nextSeq(),
  recordId: uuid('record_id')
    .notNull()
    .references(() => splicerRecords.id),
  by: text().notNull(),
  at: timestamp({ withTimezone: true }).notNull(),
  why: text().notNull(),
});

/** Sessions, arc checks and what was done to instruments; appended only. */
export const instrumentLog = pgTable(
  'instrument_log',
  {
    id: uuid().primaryKey(),
    seq: nextSeq(),
    projectId: projectId(),
    instrumentId: text('instrument_id').notNull(),
    entry: jsonb().$type<InstrumentEntry>().notNull(),
  },
  (table) => [index('instrument_log_project').on(table.projectId, table.seq)],
);

/** Simulated splicers, as they stand between two arcs. */
export const standins = pgTable('standins', {
  splicerId: text('splicer_id').primaryKey(),
  state: jsonb().$type<StandinState>().notNull(),
});

/** The true losses behind what a simulated splicer recorded: its world, nobody's evidence. */
export const standinJoints = pgTable('standin_joints', {
  recordId: uuid('record_id')
    .primaryKey()
    .references(() => splicerRecords.id),
  /** By place in the holder, thousandths of a dB at 1550 nm. */
  truth: jsonb().$type<(number | null)[]>().notNull(),
});
