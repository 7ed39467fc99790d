import { plural } from '../measure/count.ts';
import { canonicalText, digestOf } from '../record/canonical.ts';
import type { Cable } from '../record/cable.ts';
import type { ClosingEntry } from '../record/closing.ts';
import type { Closure } from '../record/closure.ts';
import type { Evidence } from '../record/evidence.ts';
import type { Assembly, Hardware } from '../record/hardware.ts';
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
  /** Splices that lay here once and were cut away. */
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
    splices: byId(splices),
    retired: byId(retired),
    evidence: [...parts.evidence],
    closing: entriesToSign(parts.entries),
    photos: byId(parts.photos.map((photo) => ({ id: photo.id, digest: photo.digest }))),
  };
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

/** What changed of a closure since it was signed, in words; none where it lies as it was. */
export function changesSince(before: ClosureRecord, after: ClosureRecord): string[] {
  const words: string[] = [];
  const name = new Map([...before.cables, ...after.cables].map((cable) => [cable.id, cable.name]));
  const called = ({ cableA, fiberA, cableB, fiberB }: Splice) =>
    `${name.get(cableA)} ${fiberA} to ${name.get(cableB)} ${fiberB}`;
  const say = (list: readonly string[], what: string) => {
    if (list.length > 0)
      words.push(
        `${what}: ${list.slice(0, 8).join(', ')}${list.length > 8 ? ` and ${list.length - 8} more` : ''}.`,
      );
  };
  for (const entry of fresh(before.closing, after.closing))
    if (entry.kind === 'visit')
      words.push(`Opened again by ${entry.by}${entry.why ? `: ${entry.why}` : ''}.`);
  say(fresh(before.splices, after.splices).map(called), 'Splices added');
  const cut = fresh(before.retired, after.retired);
  say(cut.map(called), 'Splices removed');
  say(fresh([...after.splices, ...cut], before.splices).map(called), 'Splices dropped');
  say(changed(before.splices, after.splices).map(called), 'Splices moved');
  const bySplice = new Map(
    [...after.splices, ...after.retired].map((splice) => [splice.id, splice]),
  );
  const entries = fresh(before.evidence, after.evidence).filter(
    (entry) => !(entry.type === 'ruling' && entry.kind === 'retire'),
  );
  for (const [type, what] of [
    ['attempt', 'Spliced or corrected'],
    ['reading', 'Measured'],
    ['ruling', 'Ruled on'],
  ] as const) {
    const own = entries.filter((entry) => entry.type === type);
    const places = [...new Set(own.map(({ spliceId }) => spliceId))].flatMap((id) => {
      const splice = bySplice.get(id);
      return splice ? [called(splice)] : [];
    });
    say(places, `${what} (${plural(own.length, 'entry', 'entries')})`);
  }
  const looked = fresh(before.closing, after.closing).filter(({ kind }) => kind !== 'visit');
  if (looked.length > 0)
    words.push(`${plural(looked.length, 'entry', 'entries')} of closing added.`);
  const parts: [string, (record: ClosureRecord) => unknown][] = [
    ['What enters the closure', (record) => record.assembly],
    ['Its hardware', (record) => record.hardware],
    ['Its plan', (record) => record.plan],
    ['The closure’s name, place or trays', (record) => record.closure],
    ['A cable', (record) => record.cables],
    ['The project’s limits', (record) => record.project.limits],
    ['Photos', (record) => record.photos],
  ];
  for (const [what, part] of parts)
    if (!same(part(before), part(after))) words.push(`${what} changed.`);
  return words;
}
