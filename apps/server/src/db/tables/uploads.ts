import { integer, pgTable, primaryKey, text, timestamp } from 'drizzle-orm/pg-core';
import { bytea } from './columns.ts';

/** Files on their way in, piece by piece, by the SHA-256 of the whole. They go once a record has its file. */
export const uploadPieces = pgTable(
  'upload_pieces',
  {
    digest: text().notNull(),
    /** Where in the file it begins, in bytes. */
    start: integer().notNull(),
    bytes: bytea().notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.digest, table.start] })],
);
