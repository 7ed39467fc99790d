import { integer, pgTable, primaryKey, text, timestamp, unique, uuid } from 'drizzle-orm/pg-core';
import type { ChainedKind } from '@cordel/core/close';

/** Entries of a project's record in their chain; appended only. */
export const chain = pgTable(
  'chain',
  {
    projectId: uuid('project_id').notNull(),
    number: integer().notNull(),
    kind: text().$type<ChainedKind>().notNull(),
    entryId: uuid('entry_id').notNull(),
    digest: text().notNull(),
    hash: text().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.projectId, table.number] }),
    unique('chain_entry').on(table.entryId),
  ],
);

/** What the server has put its name to; appended only. */
export const checkpoints = pgTable(
  'checkpoints',
  {
    projectId: uuid('project_id').notNull(),
    number: integer().notNull(),
    hash: text().notNull(),
    at: timestamp({ withTimezone: true }).notNull(),
    publicKey: text('public_key').notNull(),
    signature: text().notNull(),
  },
  (table) => [primaryKey({ columns: [table.projectId, table.number] })],
);
