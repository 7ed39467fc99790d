import { sql } from 'drizzle-orm';
import {
  type AnyPgColumn,
  bigint,
  boolean,
  customType,
  foreignKey,
  index,
  integer,
  jsonb,
  pgSequence,
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
  type ColourScheme,
  type Glass,
  type Hardware,
  type Instrument,
  type InstrumentEntry,
  type Limits,
  type MakeUp,
  type Method,
  type Plan,
  type Position,
  type Practice,
  type Project,
  type Reading,
  type RouteLine,
  type Ruling,
  type SplicerRecord,
  type TracePlace,
  type Verdict,
  USUAL_BUDGET,
  USUAL_GLASS,
  USUAL_PRACTICE,
  USUAL_RUN,
} from '@cordel/core';
import type { ClosingEntry } from '@cordel/core/close';
import type { TraceFigures } from '@cordel/core/otdr';
import type { StandinState } from '@cordel/standin';
import type { FoundInTrace, TraceFacts } from '../traces/facts.ts';

export const schemes = pgTable('schemes', {
  id: text().primaryKey(),
  record: jsonb().$type<ColourScheme>().notNull(),
});

export const projects = pgTable('projects', {
  id: uuid().primaryKey(),
  name: text().notNull(),
  units: jsonb().$type<Project['units']>().notNull(),
  schemeId: text('scheme_id').notNull(),
  limits: jsonb().$type<Limits>().notNull(),
  trayCapacity: jsonb('tray_capacity').$type<Project['trayCapacity']>().notNull(),
  practice: jsonb().$type<Practice>().notNull().default(USUAL_PRACTICE),
  budget: jsonb().$type<Budget>().notNull().default(USUAL_BUDGET),
  route: jsonb().$type<RouteLine[]>().notNull().default([]),
  createdAt: timestamp('created_at', { withTimezone: true }).notNull(),
});

const projectId = () =>
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
 * Planned splices, and those that were cut away: `live` tells them apart. `head*` names the fiber along the route; the columns from `verdict` on are derived
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
    cableB: uuid('cable_b')
      .notNull()
      .references(() => cables.id),
    fiberB: integer('fiber_b').notNull(),
    method: text().$type<Method>().notNull(),
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
    half: integer(),
    wavelengthNm: integer('wavelength_nm'),
    tries: smallint().notNull().default(0),
    /** Wavelengths at which a figure of the grade needed is missing. */
    missing: smallint()
      .array()
      .notNull()
      .default(sql`'{}'`),
  },
  (table) => [
    uniqueIndex('splices_fiber_a')
      .on(table.closureId, table.cableA, table.fiberA)
      .where(sql`${table.live}`),
    uniqueIndex('splices_fiber_b')
      .on(table.closureId, table.cableB, table.fiberB)
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

/** Users' own splicers and cleavers; those that ship are not stored. */
export const instruments = pgTable('instruments', {
  id: text().primaryKey(),
  record: jsonb().$type<Instrument>().notNull(),
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

/** The order in which evidence was recorded, over all kinds. */
export const evidenceSeq = pgSequence('evidence_seq');

const entry = () => ({
  id: uuid().primaryKey(),
  seq: bigint({ mode: 'number' })
    .notNull()
    .default(sql`nextval('evidence_seq')`),
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
    ...correction(),
  },
  (table) => [
    unique('attempts_of_splice').on(table.id, table.spliceId),
    index('attempts_splice').on(table.spliceId),
    index('attempts_seq').on(table.seq),
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
    ...correction(),
  },
  (table) => [
    unique('readings_of_splice').on(table.id, table.spliceId),
    index('readings_splice').on(table.spliceId),
    index('readings_seq').on(table.seq),
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

/** Imports that were carried out, so that the same one sent again does nothing. */
export const imports = pgTable('imports', {
  id: uuid().primaryKey(),
  projectId: projectId(),
  result: jsonb().$type<{ splices: number; closures: number; cables: number }>().notNull(),
});

const nextSeq = () =>
  bigint({ mode: 'number' })
    .notNull()
    .default(sql`nextval('evidence_seq')`);

/** What splicers recorded, as it came; appended only. */
export const splicerRecords = pgTable(
  'splicer_records',
  {
    id: uuid().primaryKey(),
    seq: nextSeq(),
    projectId: projectId(),
    splicerId: text('splicer_id').notNull(),
    number: integer().notNull(),
    at: timestamp({ withTimezone: true }).notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
    record: jsonb().$type<SplicerRecord>().notNull(),
  },
  (table) => [
    // The same run of the same splicer, sent again under another id, is the same record.
    unique('splicer_records_run').on(table.projectId, table.splicerId, table.number, table.at),
    index('splicer_records_seq').on(table.projectId, table.seq),
  ],
);

/** Records that belong to no splice, by a person's word; appended only. */
export const setAsides = pgTable('set_asides', {
  id: uuid().primaryKey(),
  seq: nextSeq(),
  recordId: uuid('record_id')
    .notNull()
    .references(() => splicerRecords.id),
  by: text().notNull(),
  at: timestamp({ withTimezone: true }).notNull(),
  why: text().notNull(),
});

/** Sessions, arc checks and what was done to instruments; appended only. */
export const instrumentLog = pgTable(
  'instrument_log',
  {
    id: uuid().primaryKey(),
    seq: nextSeq(),
    projectId: projectId(),
    instrumentId: text('instrument_id').notNull(),
    entry: jsonb().$type<InstrumentEntry>().notNull(),
  },
  (table) => [index('instrument_log_project').on(table.projectId, table.seq)],
);

/** Simulated splicers, as they stand between two arcs. */
export const standins = pgTable('standins', {
  splicerId: text('splicer_id').primaryKey(),
  state: jsonb().$type<StandinState>().notNull(),
});

/** The true losses behind what a simulated splicer recorded: its world, nobody's evidence. */
export const standinJoints = pgTable('standin_joints', {
  recordId: uuid('record_id')
    .primaryKey()
    .references(() => splicerRecords.id),
  /** By place in the holder, thousandths of a dB at 1550 nm. */
  truth: jsonb().$type<(number | null)[]>().notNull(),
});

const bytea = customType<{ data: Uint8Array; driverData: Uint8Array }>({
  dataType: () => 'bytea',
  toDriver: (bytes) => Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength),
  fromDriver: (bytes) => new Uint8Array(bytes.buffer, bytes.byteOffset, bytes.byteLength),
});

/** Trace files as they came, byte for byte, with what was read from them; appended only. */
export const traces = pgTable(
  'traces',
  {
    id: uuid().primaryKey(),
    seq: nextSeq(),
    projectId: projectId(),
    name: text().notNull(),
    /** SHA-256 of the bytes: the same file brought in again is the same trace. */
    digest: text().notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
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

/**
 * As-built packages that were asked for. Their files lie beside the data and can be made again, for the
 * same record gives the same bytes.
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
    /** When its maker last gave a sign of life. */
    beat: timestamp({ withTimezone: true }).notNull().defaultNow(),
    problem: text(),
    size: bigint({ mode: 'number' }),
    digest: text(),
  },
  (table) => [index('packages_project').on(table.projectId, table.at)],
);

/** `stopping` is asked for, `stopped` has happened. */
export type PackageState = 'making' | 'stopping' | 'stopped' | 'failed' | 'done';
