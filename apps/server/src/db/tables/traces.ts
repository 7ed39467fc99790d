import { index, integer, jsonb, pgTable, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core';
import type { KeptTrace, TracePlace } from '@cordel/core';
import type { TraceFigures } from '@cordel/core/otdr';
import type { FoundInTrace, TraceFacts } from '../../traces/facts.ts';
import { projectId, cables } from './plant.ts';
import { bytea, nextSeq, originOf } from './columns.ts';

/** Trace files as they came, byte for byte, with what was read from them; appended only. */
export const traces = pgTable(
  'traces',
  {
    id: uuid().primaryKey(),
    seq: nextSeq(),
    projectId: projectId(),
    name: text().notNull(),
    /** SHA-256 of the bytes: the same file imported again is the same trace. */
    digest: text().notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
    origin: originOf().$type<KeptTrace['origin']>(),
    bytes: bytea().notNull(),
    facts: jsonb().$type<TraceFacts>().notNull(),
    found: jsonb().$type<FoundInTrace>().notNull(),
  },
  (table) => [unique('traces_content').on(table.projectId, table.digest)],
);

/** Where traces belong, by a person's word; appended only, the last one counts. */
export const tracePlaces = pgTable(
  'trace_places',
  {
    id: uuid().primaryKey(),
    seq: nextSeq(),
    traceId: uuid('trace_id')
      .notNull()
      .references(() => traces.id),
    by: text().notNull(),
    at: timestamp({ withTimezone: true }).notNull(),
    cableId: uuid('cable_id').references(() => cables.id),
    fiber: integer(),
    direction: text().$type<TracePlace['direction']>(),
    wavelengthNm: integer('wavelength_nm'),
    stage: text().$type<TracePlace['stage']>(),
    why: text(),
  },
  (table) => [index('trace_places_trace').on(table.traceId)],
);

/** What traces lose at the points of their ways: derived, and measured anew when the way moves. */
export const traceFigures = pgTable('trace_figures', {
  traceId: uuid('trace_id')
    .primaryKey()
    .references(() => traces.id),
  /** Where it was measured. */
  key: text().notNull(),
  figures: jsonb().$type<TraceFigures>().notNull(),
});
