import { sql } from 'drizzle-orm';
import { bigserial, customType, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';

/** Numbers of transactions, which are never used again. Source: PostgreSQL documentation, section 8.19. */
const xid8 = customType<{ data: string; driverData: string }>({ dataType: () => 'xid8' });

/**
 * What was written, in an order that grows from the end alone: by transactions, and a reader stops before the oldest
 * one that is still open. Triggers of the tables write it.
 */
export const changes = pgTable(
  'changes',
  {
    xact: xid8()
      .notNull()
      .default(sql`pg_current_xact_id()`),
    seq: bigserial({ mode: 'number' }).notNull(),
    /** Null where it is of all projects. */
    projectId: uuid('project_id'),
    kind: text().notNull(),
    /** What names the record: its id, or the closure that it is of. */
    key: text().notNull(),
  },
  (table) => [primaryKey({ columns: [table.xact, table.seq] })],
);
