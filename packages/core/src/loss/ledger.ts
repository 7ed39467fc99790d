import { z } from 'zod';
import { spliceReasonSchema } from './reasons.ts';
import { idSchema } from '../record/basics.ts';
import { gradeSchema } from '../record/limits.ts';
import { originSchema } from '../record/origin.ts';
import { endWaySchema, legSchema, methodSchema } from '../record/splice.ts';
import { GROUP_VERDICTS, SPLICE_STAGES } from './spliceStage.ts';
import { VERDICTS } from './verdict.ts';

const rollUpFields = {
  total: z.int(),
  done: z.int(),
  due: z.int(),
  open: z.int(),
  skipped: z.int(),
  dead: z.int(),
  redo: z.int(),
  spliced: z.int(),
  measured: z.int(),
  accepted: z.int(),
  failed: z.int(),
  simulated: z.int(),
  figures: z.int(),
  sumHalfMdb: z.number(),
  maxHalfMdb: z.number().nullable(),
  weakest: z.int().nullable(),
  verdict: z.enum(GROUP_VERDICTS),
  grade: gradeSchema.nullable(),
  meanOver: z.boolean(),
};

/** A project as a whole. */
export const tallySchema = z.object(rollUpFields);

export const closureRowSchema = z.object({
  ...rollUpFields,
  closureId: idSchema,
  name: z.string(),
  distance: z.number().nullable(),
  branchOf: idSchema.nullable(),
  trayCount: z.int(),
  /** Trays that fail by their mean though none of their splices has to. */
  traysOver: z.array(z.int()),
  /** How far its closing has come since it was opened last. */
  closing: z.enum(['to come', 'under way', 'done']),
});

export const trayRowSchema = z.object({
  ...rollUpFields,
  closureId: idSchema,
  closure: z.string(),
  tray: z.int(),
});

/** A fiber along the route, named by its head: the free end nearest the start. */
export const fiberRowSchema = z.object({
  ...rollUpFields,
  headCable: idSchema,
  headFiber: z.int(),
});

export const spliceRowSchema = z.object({
  id: idSchema,
  closureId: idSchema,
  closure: z.string(),
  tray: z.int(),
  slot: z.int(),
  cableA: idSchema,
  fiberA: z.int(),
  legA: legSchema.nullable(),
  cableB: idSchema,
  fiberB: z.int(),
  legB: legSchema.nullable(),
  method: methodSchema,
  end: endWaySchema.nullable(),
  headCable: idSchema,
  headFiber: z.int(),
  verdict: z.enum(VERDICTS),
  redo: z.boolean(),
  /** Rank of the grade of the figure that speaks for the splice. */
  grade: z.int().nullable(),
  lossHalfMdb: z.int().nullable(),
  wavelengthNm: z.int().nullable(),
  tries: z.int(),
  /** Where that figure comes from; null without one. */
  origin: originSchema.nullable(),
  missing: z.array(z.int()),
});

/** A splice to redo, with why. */
export const redoRowSchema = spliceRowSchema.extend({ reasons: z.array(spliceReasonSchema) });

export type TallyRow = z.infer<typeof tallySchema>;
export type ClosureRow = z.infer<typeof closureRowSchema>;
export type TrayRow = z.infer<typeof trayRowSchema>;
export type FiberRow = z.infer<typeof fiberRowSchema>;
export type SpliceRow = z.infer<typeof spliceRowSchema>;
export type RedoRow = z.infer<typeof redoRowSchema>;

export const LEDGER_SORTS = ['route', 'worst', 'mean', 'verdict'] as const;

/** What a page of the Ledger is asked for. */
export const ledgerQuerySchema = z.object({
  q: z.string().max(200).optional(),
  /** Of a group. */
  verdict: z.enum(VERDICTS).optional(),
  /** Of a splice. */
  state: z.enum(SPLICE_STAGES).optional(),
  closureId: idSchema.optional(),
  sort: z.enum(LEDGER_SORTS).default('route'),
  offset: z.coerce.number().int().min(0).default(0),
  limit: z.coerce.number().int().min(1).max(1000).default(200),
});

export type LedgerQuery = z.infer<typeof ledgerQuerySchema>;

export const pageOf = <Row extends z.ZodType>(row: Row) =>
  z.object({ rows: z.array(row), total: z.int() });

/** A cable: its fibers, and how many of them have a splice planned or made. */
export const cableRowSchema = z.object({
  cableId: idSchema,
  name: z.string(),
  fibers: z.int(),
  planned: z.int(),
});
export type CableRow = z.infer<typeof cableRowSchema>;

/** A line of a closure's plan that a note or remark makes findable; `line` from 0. */
export const planLineRowSchema = z.object({
  closureId: idSchema,
  closure: z.string(),
  line: z.int(),
  text: z.string(),
});
export type PlanLineRow = z.infer<typeof planLineRowSchema>;

/** What a search finds of each kind. */
export const foundRowsSchema = z.object({
  fibers: pageOf(fiberRowSchema),
  splices: pageOf(spliceRowSchema),
  trays: pageOf(trayRowSchema),
  closures: pageOf(closureRowSchema),
  cables: pageOf(cableRowSchema),
  planLines: pageOf(planLineRowSchema),
});
export type FoundRows = z.infer<typeof foundRowsSchema>;

/** A page of rows, with how many there are in all. */
export interface Page<Row> {
  rows: Row[];
  total: number;
}
