import { sql } from 'drizzle-orm';
import {
  type AnyPgColumn,
  boolean,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  smallint,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';
import { type Inspection, type Reading, type Ruling } from '@cordel/core';
import { nextSeq, originOf } from './columns.ts';
import { projectId, splices } from './plant.ts';
import { splicerRecords } from './bench.ts';
import { traces } from './traces.ts';

const entry = () => ({
  id: uuid().primaryKey(),
  seq: nextSeq(),
  spliceId: uuid('splice_id')
    .notNull()
    .references(() => splices.id),
  by: text().notNull(),
  at: timestamp({ withTimezone: true }).notNull(),
});

const correction = () => ({
  supersedes: uuid(),
  void: boolean().notNull(),
  why: text(),
});

export const attempts = pgTable(
  'attempts',
  {
    ...entry(),
    tryId: uuid('try_id').notNull(),
    estimateMdb: integer('estimate_mdb'),
    /** The splicer's record the estimate comes from, and the place in its holder. */
    recordId: uuid('record_id').references((): AnyPgColumn => splicerRecords.id),
    recordPosition: smallint('record_position'),
    origin: originOf(),
    ...correction(),
  },
  (table) => [
    unique('attempts_of_splice').on(table.id, table.spliceId),
    index('attempts_splice').on(table.spliceId),
    index('attempts_seq').on(table.seq),
    index('attempts_simulated')
      .on(table.spliceId)
      .where(sql`${table.origin} = 'simulated'`),
    index('attempts_record')
      .on(table.recordId)
      .where(sql`${table.recordId} is not null`),
    foreignKey({
      name: 'attempts_try',
      columns: [table.tryId, table.spliceId],
      foreignColumns: [table.id, table.spliceId],
    }),
    foreignKey({
      name: 'attempts_supersedes',
      columns: [table.supersedes, table.spliceId],
      foreignColumns: [table.id, table.spliceId],
    }),
  ],
);

export const readings = pgTable(
  'readings',
  {
    ...entry(),
    tryId: uuid('try_id'),
    grade: text().$type<Reading['grade']>().notNull(),
    direction: text().$type<Reading['direction']>(),
    wavelengthNm: integer('wavelength_nm').notNull(),
    lossMdb: integer('loss_mdb').notNull(),
    /** The trace it was read from. */
    traceId: uuid('trace_id').references((): AnyPgColumn => traces.id),
    origin: originOf(),
    ...correction(),
  },
  (table) => [
    unique('readings_of_splice').on(table.id, table.spliceId),
    index('readings_splice').on(table.spliceId),
    index('readings_seq').on(table.seq),
    index('readings_simulated')
      .on(table.spliceId)
      .where(sql`${table.origin} = 'simulated'`),
    foreignKey({
      name: 'readings_try',
      columns: [table.tryId, table.spliceId],
      foreignColumns: [attempts.id, attempts.spliceId],
    }),
    foreignKey({
      name: 'readings_supersedes',
      columns: [table.supersedes, table.spliceId],
      foreignColumns: [table.id, table.spliceId],
    }),
  ],
);

/** What was seen of ends: the end face, and light through it. */
export const inspections = pgTable(
  'inspections',
  {
    ...entry(),
    tryId: uuid('try_id'),
    face: text().$type<Inspection['face']>(),
    light: text().$type<Inspection['light']>(),
    marks: jsonb().$type<Inspection['marks']>(),
    cleanings: integer(),
    photoId: uuid('photo_id'),
    origin: originOf(),
    ...correction(),
  },
  (table) => [
    unique('inspections_of_splice').on(table.id, table.spliceId),
    index('inspections_splice').on(table.spliceId),
    index('inspections_seq').on(table.seq),
    foreignKey({
      name: 'inspections_try',
      columns: [table.tryId, table.spliceId],
      foreignColumns: [attempts.id, attempts.spliceId],
    }),
    foreignKey({
      name: 'inspections_supersedes',
      columns: [table.supersedes, table.spliceId],
      foreignColumns: [table.id, table.spliceId],
    }),
  ],
);

export const rulings = pgTable(
  'rulings',
  {
    ...entry(),
    tryId: uuid('try_id'),
    kind: text().$type<Ruling['kind']>().notNull(),
    why: text().notNull(),
  },
  (table) => [
    index('rulings_splice').on(table.spliceId),
    index('rulings_seq').on(table.seq),
    foreignKey({
      name: 'rulings_try',
      columns: [table.tryId, table.spliceId],
      foreignColumns: [attempts.id, attempts.spliceId],
    }),
  ],
);

/** Splices whose derived columns are behind their evidence. */
export const staleSplices = pgTable(
  'stale_splices',
  {
    spliceId: uuid('splice_id')
      .primaryKey()
      .references(() => splices.id),
    projectId: projectId(),
  },
  (table) => [index('stale_splices_project').on(table.projectId)],
);
