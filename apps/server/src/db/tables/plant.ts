import { sql } from 'drizzle-orm';
import {
  type AnyPgColumn,
  bigint,
  boolean,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  smallint,
  text,
  timestamp,
  unique,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import {
  type Assembly,
  type Budget,
  type CableRun,
  type Closure,
  type Figure,
  type ColourScheme,
  type EndWay,
  type Glass,
  type Hardware,
  type Limits,
  type MakeUp,
  type Leg,
  type Method,
  type Origin,
  type Plan,
  type Position,
  type Practice,
  type Project,
  type RemovableKind,
  type RouteLine,
  type Ruling,
  type Verdict,
  USUAL_BUDGET,
  USUAL_GLASS,
  USUAL_PRACTICE,
  USUAL_RUN,
} from '@cordel/core';

export const schemes = pgTable('schemes', {
  id: text().primaryKey(),
  record: jsonb().$type<ColourScheme>().notNull(),
});

export const projects = pgTable('projects', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  /** Simulators work here; a trigger keeps the mark once something simulated is in. */
  practiceOnly: boolean('practice_only').notNull().default(false),
  units: jsonb().$type<Project['units']>().notNull(),
  schemeId: text('scheme_id').notNull(),
  limits: jsonb().$type<Limits>().notNull(),
  trayCapacity: jsonb('tray_capacity').$type<Project['trayCapacity']>().notNull(),
  practice: jsonb().$type<Practice>().notNull().default(USUAL_PRACTICE),
  budget: jsonb().$type<Budget>().notNull().default(USUAL_BUDGET),
  route: jsonb().$type<RouteLine[]>().notNull().default([]),
  createdAt: timestamp('created_at', { withTimezone: true }).notNull(),
});

export const projectId = () =>
  uuid('project_id')
    .notNull()
    .references(() => projects.id);

export const cables = pgTable(
  'cables',
  {
    id: uuid().primaryKey(),
    projectId: projectId(),
    name: text().notNull(),
    makeUp: jsonb('make_up').$type<MakeUp>().notNull(),
    /** The closure in which a splitter or ports stand; null for a cable. */
    closureId: uuid('closure_id').references((): AnyPgColumn => closures.id),
    schemeId: text('scheme_id').notNull(),
    glass: jsonb().$type<Glass>().notNull().default(USUAL_GLASS),
    run: jsonb().$type<CableRun>().notNull().default(USUAL_RUN),
  },
  (table) => [unique('cables_name').on(table.projectId, table.name)],
);

export const closures = pgTable(
  'closures',
  {
    id: uuid().primaryKey(),
    projectId: projectId(),
    name: text().notNull(),
    ordinal: integer().notNull(),
    /** Tenths of a millimeter from the start of the route. */
    distance: bigint({ mode: 'number' }),
    branchOf: uuid('branch_of').references((): AnyPgColumn => closures.id),
    /** Longitude and latitude, degrees. */
    position: jsonb().$type<Position>(),
    trays: jsonb().$type<Closure['trays']>().notNull(),
  },
  (table) => [unique('closures_name').on(table.projectId, table.name)],
);

/**
 * Planned splices, and those that were removed: `live` tells them apart. `head*` names the fiber along the route; the columns from `verdict` on are derived
 * from the evidence and made anew whenever it changes (see ledger/refresh.ts).
 */
export const splices = pgTable(
  'splices',
  {
    id: uuid().primaryKey(),
    projectId: projectId(),
    closureId: uuid('closure_id')
      .notNull()
      .references(() => closures.id),
    tray: integer().notNull(),
    slot: integer().notNull(),
    cableA: uuid('cable_a')
      .notNull()
      .references(() => cables.id),
    fiberA: integer('fiber_a').notNull(),
    /** The leg of an express cable; null where its cable has one end here. */
    legA: text('leg_a').$type<Leg>(),
    cableB: uuid('cable_b')
      .notNull()
      .references(() => cables.id),
    fiberB: integer('fiber_b').notNull(),
    legB: text('leg_b').$type<Leg>(),
    method: text().$type<Method>().notNull(),
    /** How the fiber ends at ports, which are cable B; null for a splice. */
    end: text('end_way').$type<EndWay>(),
    extra: jsonb().$type<Record<string, string>>().notNull(),
    /** False once a ruling retires it: its fibers and its slot are free, its evidence stays. */
    live: boolean().notNull().default(true),
    headCable: uuid('head_cable').notNull(),
    headFiber: integer('head_fiber').notNull(),
    verdict: text().$type<Verdict>().notNull().default('open'),
    redo: boolean().notNull().default(false),
    /** Rank of the grade of the figure that speaks for the splice. */
    grade: smallint(),
    /** That figure, in half-thousandths of a dB. */
    lossHalfMdb: integer('loss_half_mdb'),
    wavelengthNm: integer('wavelength_nm'),
    tries: smallint().notNull().default(0),
    /** Where that figure comes from. */
    origin: text().$type<Origin>(),
    /** Who made the joint as it lies, and when. */
    madeBy: text('made_by'),
    madeAt: timestamp('made_at', { withTimezone: true }),
    /** A person's word in force. */
    ruling: jsonb().$type<Pick<Ruling, 'kind' | 'by' | 'at' | 'why'>>(),
    /** What counts of it, a figure a grade and wavelength. */
    figures: jsonb().$type<Figure[]>().notNull().default([]),
    /** Wavelengths at which a figure of the grade needed is missing. */
    missing: smallint()
      .array()
      .notNull()
      .default(sql`'{}'`),
  },
  (table) => [
    uniqueIndex('splices_fiber_a')
      .on(table.closureId, table.cableA, table.fiberA, sql`coalesce(${table.legA}, '')`)
      .where(sql`${table.live}`),
    uniqueIndex('splices_fiber_b')
      .on(table.closureId, table.cableB, table.fiberB, sql`coalesce(${table.legB}, '')`)
      .where(sql`${table.live}`),
    index('splices_project').on(table.projectId),
    index('splices_place').on(table.closureId, table.tray, table.slot),
    index('splices_head').on(table.headCable, table.headFiber),
  ],
);

/** The splice plan of a closure as its lines were written; its splices follow from it. */
export const plans = pgTable('plans', {
  closureId: uuid('closure_id')
    .primaryKey()
    .references(() => closures.id),
  text: text().notNull(),
  pins: jsonb().$type<Plan['pins']>().notNull(),
  spare: integer().notNull(),
});

/** Users' own hardware profiles; those that ship are not stored. */
export const hardware = pgTable('hardware', {
  id: text().primaryKey(),
  record: jsonb().$type<Hardware>().notNull(),
});

/** What meets in a closure: its hardware and the cables that enter. Lengths in tenths of a millimeter. */
export const assemblies = pgTable('assemblies', {
  closureId: uuid('closure_id')
    .primaryKey()
    .references(() => closures.id),
  hardwareId: text('hardware_id'),
  reach: integer().notNull(),
  entries: jsonb().$type<Assembly['entries']>().notNull(),
});

/** Records that are out of the way: lists to choose from leave them out. */
export const archives = pgTable(
  'archives',
  {
    kind: text().$type<RemovableKind>().notNull(),
    id: text().notNull(),
    at: timestamp({ withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [primaryKey({ columns: [table.kind, table.id] })],
);

/** Imports that were made, so that the same one sent again does nothing. */
export const imports = pgTable('imports', {
  id: uuid().primaryKey(),
  projectId: projectId(),
  result: jsonb().$type<{ splices: number; closures: number; cables: number }>().notNull(),
});
