import { z } from 'zod';
import { canonicalText, digestOf } from '../record/canonical.ts';
import { type Cable, cableSchema } from '../record/cable.ts';
import type { ClosingEntry } from '../record/closing.ts';
import type { Closure } from '../record/closure.ts';
import type { Evidence } from '../record/evidence.ts';
import {
  type Assembly,
  type Hardware,
  assemblySchema,
  hardwareSchema,
} from '../record/hardware.ts';
import { upgradeAssembly } from '../record/upgradeDocument.ts';
import { BUILT_IN_HARDWARE } from '../prep/hardware.ts';
import { type FiberPairs, fiberPairsSchema } from '../record/message.ts';
import { limitsSchema } from '../record/limits.ts';
import type { Plan } from '../record/plan.ts';
import type { Project } from '../record/project.ts';
import type { Splice } from '../record/splice.ts';

/** All that a signature under a closure stands for. */
export interface ClosureRecord {
  format: 'cordel.closure';
  version: 2;
  project: Pick<Project, 'id' | 'name' | 'practiceOnly' | 'limits'> & {
    units: Pick<Project['units'], 'distance'>;
  };
  closure: Closure;
  hardware: Hardware | null;
  assembly: Assembly | null;
  plan: Plan | null;
  cables: Cable[];
  splices: Splice[];
  /** Splices that lay here once and were removed. */
  retired: Splice[];
  /** Of both. */
  evidence: Evidence[];
  /** What was done at the closure, signatures of the visit under way left out: they stand under all this. */
  closing: ClosingEntry[];
  /** Photos by what is in them. */
  photos: { id: string; digest: string }[];
}

/** What a closure's record is put together from: all that is known of it. */
export interface RecordParts {
  project: Project;
  closure: Closure;
  hardware: readonly Hardware[];
  assembly: Assembly | null;
  plan: Plan | null;
  /** All cables of the project. */
  cables: readonly Cable[];
  splices: readonly Splice[];
  retired: readonly Splice[];
  /** Of both, in recorded order. */
  evidence: readonly Evidence[];
  /** In recorded order. */
  entries: readonly ClosingEntry[];
  photos: readonly { id: string; digest: string }[];
}

const byId = <Item extends { id: string }>(list: readonly Item[]): Item[] =>
  [...list].sort((a, b) => (a.id < b.id ? -1 : 1));

/** A closure's record as it is signed: the same on phone and server. */
export function closureRecord(parts: RecordParts): ClosureRecord {
  const { project, assembly, plan, splices, retired } = parts;
  const { id, name, practiceOnly, units, limits } = project;
  const used = new Set([
    ...[...splices, ...retired].flatMap(({ cableA, cableB }) => [cableA, cableB]),
    ...(assembly?.entries ?? []).map(({ cableId }) => cableId),
  ]);
  return {
    format: 'cordel.closure',
    version: 2,
    // How the record is shown is not what was signed, but for the unit that stood in it from the first.
    project: { id, name, practiceOnly, units: { distance: units.distance }, limits },
    closure: parts.closure,
    hardware: parts.hardware.find((one) => one.id === assembly?.hardwareId) ?? null,
    assembly,
    plan: plan && {
      closureId: plan.closureId,
      text: plan.text,
      pins: plan.pins,
      spare: plan.spare,
    },
    cables: byId(parts.cables.filter((cable) => used.has(cable.id))),
    splices: byId(splices).map(withoutUnset),
    retired: byId(retired).map(withoutUnset),
    evidence: [...parts.evidence],
    closing: entriesToSign(parts.entries),
    photos: byId(parts.photos.map((photo) => ({ id: photo.id, digest: photo.digest }))),
  };
}

/** Before legs and ends were known a splice had none to say: what lies as it was stays as it was signed. */
function withoutUnset({ legA, legB, end, ...splice }: Splice): Splice {
  return {
    ...splice,
    ...(legA && { legA }),
    ...(legB && { legB }),
    ...(end && { end }),
  } as Splice;
}

/** Entries that a signature of the visit under way stands for. */
export function entriesToSign(entries: readonly ClosingEntry[]): ClosingEntry[] {
  const visit = entries.findLastIndex(({ kind }) => kind === 'visit');
  return entries.filter(({ kind }, at) => kind !== 'sign' || at < visit);
}

/** A record's canonical text and the digest that is signed. */
export function sealRecord(record: ClosureRecord): { content: string; digest: string } {
  const content = canonicalText(record);
  return { content, digest: digestOf(content) };
}

type Listed = { id: string };

const fresh = <Item extends Listed>(before: readonly Item[], after: readonly Item[]): Item[] => {
  const known = new Set(before.map(({ id }) => id));
  return after.filter(({ id }) => !known.has(id));
};

const changed = <Item extends Listed>(before: readonly Item[], after: readonly Item[]): Item[] => {
  const known = new Map(before.map((item) => [item.id, canonicalText(item)]));
  return after.filter((item) => known.has(item.id) && known.get(item.id) !== canonicalText(item));
};

const same = (one: unknown, other: unknown): boolean => canonicalText(one) === canonicalText(other);

/** Parts of a closure's record that are compared as a whole. */
const CHANGED_PARTS = [
  'assembly',
  'hardware',
  'plan',
  'closure',
  'cable',
  'limits',
  'photos',
] as const;
export type ChangedPart = (typeof CHANGED_PARTS)[number];

/** What changed of a closure since it was signed. */
export const recordChangeSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('openedAgain'), by: z.string() }),
  z.object({ code: z.literal('openedAgainFor'), by: z.string(), why: z.string() }),
  z.object({ code: z.enum(['added', 'removed', 'dropped', 'moved']), splices: fiberPairsSchema }),
  z.object({
    code: z.enum(['spliced', 'measured', 'ruled']),
    entries: z.int(),
    splices: fiberPairsSchema,
  }),
  z.object({ code: z.literal('closingEntries'), entries: z.int() }),
  z.object({ code: z.enum(CHANGED_PARTS) }),
]);
export type RecordChange = z.infer<typeof recordChangeSchema>;

const isBuiltIn = ({ id }: Hardware): boolean => BUILT_IN_HARDWARE.some((own) => own.id === id);

/** A part of a record with the fields that came later as they are where nobody sets them. */
function upToDate<Part>(schema: z.ZodType<Part>, part: unknown): unknown {
  const read = schema.safeParse(part);
  return read.success ? read.data : part;
}

const PARTS: Record<ChangedPart, (record: ClosureRecord) => unknown> = {
  assembly: ({ assembly }) => upToDate(assemblySchema, upgradeAssembly(assembly)),
  // Nobody can change a profile that ships; another one is that of a later version.
  hardware: ({ hardware }) =>
    hardware && isBuiltIn(hardware) ? hardware.id : upToDate(hardwareSchema, hardware),
  plan: (record) => record.plan,
  closure: (record) => record.closure,
  cable: ({ cables }) => cables.map((cable) => upToDate(cableSchema, cable)),
  limits: ({ project }) => upToDate(limitsSchema, project.limits),
  photos: (record) => record.photos,
};

/** Splices that are named before the rest is counted. */
const MOST_NAMED = 8;

/** What changed of a closure since it was signed; none where it lies as it was. */
export function changesSince(before: ClosureRecord, after: ClosureRecord): RecordChange[] {
  const changes: RecordChange[] = [];
  const name = new Map([...before.cables, ...after.cables].map((cable) => [cable.id, cable.name]));
  const pairs = (list: readonly Splice[]): FiberPairs => ({
    pairs: list.map(({ cableA, fiberA, cableB, fiberB }) => ({
      cableA: name.get(cableA) ?? cableA,
      fiberA,
      cableB: name.get(cableB) ?? cableB,
      fiberB,
    })),
    most: MOST_NAMED,
  });
  const add = (list: readonly Splice[], code: 'added' | 'removed' | 'dropped' | 'moved') => {
    if (list.length > 0) changes.push({ code, splices: pairs(list) });
  };
  for (const entry of fresh(before.closing, after.closing))
    if (entry.kind === 'visit')
      changes.push(
        entry.why
          ? { code: 'openedAgainFor', by: entry.by, why: entry.why }
          : { code: 'openedAgain', by: entry.by },
      );
  add(fresh(before.splices, after.splices), 'added');
  const cut = fresh(before.retired, after.retired);
  add(cut, 'removed');
  add(fresh([...after.splices, ...cut], before.splices), 'dropped');
  add(changed(before.splices, after.splices), 'moved');
  const bySplice = new Map(
    [...after.splices, ...after.retired].map((splice) => [splice.id, splice]),
  );
  const entries = fresh(before.evidence, after.evidence).filter(
    (entry) => !(entry.type === 'ruling' && entry.kind === 'retire'),
  );
  for (const [types, code] of [
    [['attempt'], 'spliced'],
    [['reading', 'inspection'], 'measured'],
    [['ruling'], 'ruled'],
  ] as const) {
    const own = entries.filter((entry) => types.some((type) => type === entry.type));
    const splices = [...new Set(own.map(({ spliceId }) => spliceId))].flatMap(
      (id) => bySplice.get(id) ?? [],
    );
    if (splices.length > 0) changes.push({ code, entries: own.length, splices: pairs(splices) });
  }
  const closing = fresh(before.closing, after.closing).filter(({ kind }) => kind !== 'visit');
  if (closing.length > 0) changes.push({ code: 'closingEntries', entries: closing.length });
  for (const [code, part] of Object.entries(PARTS) as [ChangedPart, (typeof PARTS)[ChangedPart]][])
    if (!same(part(before), part(after))) changes.push({ code });
  return changes;
}
