import { integer, jsonb, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';

/**
 * Projects that come in piece by piece from a document. Until the last piece is in, the project is nobody's: lists
 * leave it out, and what is in by then may be taken out again.
 */
export const projectImports = pgTable('project_imports', {
  projectId: uuid('project_id').primaryKey(),
  name: text().notNull(),
  stage: text().$type<ImportStage>().notNull(),
  /** Rows that are in, of all that are to come in. */
  done: integer().notNull().default(0),
  total: integer().notNull(),
  /** The process that writes it. */
  owner: text().notNull(),
  /** When it last gave a sign of life. */
  heartbeat: timestamp('beat', { withTimezone: true }).notNull().defaultNow(),
  /** What it added for all projects: it goes again where the import is stopped. */
  added: jsonb().$type<AddedForAll>().notNull(),
  /** Who imports it; null where nobody signs in. */
  personId: uuid('person_id'),
  /** Why it failed, once what was in is taken out. */
  problem: text(),
});

/** `stopping` is asked for; `clearing` takes out what is in; `failed` has nothing of it left. */
export type ImportStage = 'writing' | 'stopping' | 'clearing' | 'failed';

/** Ids of schemes, hardware profiles and instruments. */
export interface AddedForAll {
  scheme: string[];
  hardware: string[];
  instrument: string[];
}
