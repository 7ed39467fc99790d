import { index, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import type { LinkEntry } from '@cordel/core';
import { nextSeq } from './columns.ts';
import { projectId } from './plant.ts';

/** What meters tell of links; appended only. */
export const linkEntries = pgTable(
  'link_entries',
  {
    id: uuid().primaryKey(),
    seq: nextSeq(),
    projectId: projectId(),
    kind: text().$type<LinkEntry['kind']>().notNull(),
    entry: jsonb().$type<LinkEntry>().notNull(),
  },
  (table) => [index('link_entries_project').on(table.projectId, table.seq)],
);
