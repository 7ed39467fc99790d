import {
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import type { ClosingEntry } from '@cordel/core/close';
import { closures } from './plant.ts';
import { nextSeq, bytea } from './columns.ts';

/** What was done to close a closure; appended only. */
export const closingEntries = pgTable(
  'closing_entries',
  {
    id: uuid().primaryKey(),
    seq: nextSeq(),
    closureId: uuid('closure_id')
      .notNull()
      .references(() => closures.id),
    kind: text().$type<ClosingEntry['kind']>().notNull(),
    entry: jsonb().$type<ClosingEntry>().notNull(),
  },
  (table) => [index('closing_entries_closure').on(table.closureId, table.seq)],
);

/** Photos kept with a closure's record; appended only. */
export const photos = pgTable(
  'photos',
  {
    id: uuid().primaryKey(),
    seq: nextSeq(),
    closureId: uuid('closure_id')
      .notNull()
      .references(() => closures.id),
    by: text().notNull(),
    at: timestamp({ withTimezone: true }).notNull(),
    width: integer().notNull(),
    height: integer().notNull(),
    /** SHA-256 of the bytes. */
    digest: text().notNull(),
    bytes: bytea().notNull(),
  },
  (table) => [index('photos_closure').on(table.closureId, table.seq)],
);

/** Closures' records as they were signed, by the digest that the signatures name; appended only. */
export const signedRecords = pgTable(
  'signed_records',
  {
    closureId: uuid('closure_id')
      .notNull()
      .references(() => closures.id),
    digest: text().notNull(),
    seq: nextSeq(),
    content: text().notNull(),
  },
  (table) => [primaryKey({ columns: [table.closureId, table.digest] })],
);
