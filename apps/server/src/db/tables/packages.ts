import {
  bigint,
  index,
  integer,
  pgTable,
  primaryKey,
  text,
  timestamp,
  uuid,
} from 'drizzle-orm/pg-core';
import { bytea } from './columns.ts';
import { projectId, closures } from './plant.ts';

/**
 * As-built packages that were asked for. Their files can be made again, for the same record gives the same bytes.
 */
export const packages = pgTable(
  'packages',
  {
    id: uuid().primaryKey(),
    projectId: projectId(),
    closureId: uuid('closure_id').references(() => closures.id),
    paper: text().$type<'A4' | 'Letter'>().notNull(),
    by: text().notNull(),
    at: timestamp({ withTimezone: true }).notNull(),
    state: text().$type<PackageState>().notNull(),
    /** What is being made, and how far it is, in rows. */
    part: text().notNull().default(''),
    done: integer().notNull().default(0),
    total: integer().notNull().default(0),
    /** When its builder last gave a sign of life. */
    heartbeat: timestamp('beat', { withTimezone: true }).notNull().defaultNow(),
    problem: text(),
    size: bigint({ mode: 'number' }),
    digest: text(),
  },
  (table) => [index('packages_project').on(table.projectId, table.at)],
);

/** Files of packages in pieces, where several processes stand before one database: any of them serves them. */
export const packagePieces = pgTable(
  'package_pieces',
  {
    packageId: uuid('package_id')
      .notNull()
      .references(() => packages.id, { onDelete: 'cascade' }),
    number: integer().notNull(),
    bytes: bytea().notNull(),
  },
  (table) => [primaryKey({ columns: [table.packageId, table.number] })],
);

/** `stopping` is asked for, `stopped` has happened. */
export type PackageState = 'making' | 'stopping' | 'stopped' | 'failed' | 'done';
