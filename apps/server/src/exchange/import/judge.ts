import {
  type Closure,
  type Evidence,
  type Origin,
  type Splice,
  type SplicerRecord,
  circuitOrigins,
  retirementsOf,
} from '@cordel/core';
import type { PackedDocument } from '@cordel/core/document';
import { bySplice } from '../../evidence/queries.ts';
import { judgedOf } from '../../ledger/refresh.ts';
import type { JudgedSplice } from '../../splices/insert.ts';

/** What each splice's columns say, all of them. */
export function judgeOf(
  document: PackedDocument,
  origins: ReadonlyMap<string, Origin>,
): (splice: Splice) => JudgedSplice {
  const { project, closures: own, splices, evidence } = document;
  const records = new Map(document.splicerRecords.map((record) => [record.id, record]));
  const entries = bySplice(evidence);
  const retired = retirementsOf(evidence);
  const ranks = ranksOf(own);
  const joints = splices
    .filter(({ id }) => !retired.has(id))
    .map((splice) => ({ ...splice, order: ranks.get(splice.closureId)! }))
    .sort((a, b) => a.order - b.order || a.tray - b.tray || a.slot - b.slot || a.fiberA - b.fiberA);
  const ends = circuitOrigins(joints);
  const heads = new Map(joints.map(({ id }, index) => [id, ends[index]!]));
  return (splice) => {
    const head = heads.get(splice.id) ?? { cable: splice.cableA, fiber: splice.fiberA };
    const had = (entries.get(splice.id) ?? []).map((entry) => ({
      ...entry,
      ...(entry.type !== 'ruling' && { origin: originOf(entry, records, origins) }),
    })) as Evidence[];
    return {
      ...splice,
      ...judgedOf(splice.id, splice, had, project.limits),
      live: !retired.has(splice.id),
      headCable: head.cable,
      headFiber: head.fiber,
    };
  };
}

/** Where an entry comes from, as the database says it (`origin_of_estimate`, `origin_of_loss`). */
function originOf(
  entry: Exclude<Evidence, { type: 'ruling' }>,
  records: ReadonlyMap<string, SplicerRecord>,
  origins: ReadonlyMap<string, Origin>,
): Origin {
  const named =
    entry.type === 'attempt' ? entry.recordId : entry.type === 'reading' ? entry.traceId : null;
  const origin = origins.get(named ?? '');
  if (entry.origin === 'simulated' || origin === 'simulated') return 'simulated';
  if (entry.type === 'reading') return entry.origin === 'instrument' && origin ? origin : 'typed';
  if (entry.type !== 'attempt' || !origin) return 'typed';
  const seen = records
    .get(entry.recordId!)
    ?.fibers.find(({ position }) => position === entry.recordPosition);
  const isRecords =
    entry.estimateMdb === null ||
    (seen?.estimateMdb != null && Math.round(seen.estimateMdb) === entry.estimateMdb);
  return isRecords ? origin : 'typed';
}

/** Which closure comes how far along the route; smaller is nearer the head. */
function ranksOf(closures: readonly Closure[]): ReadonlyMap<string, number> {
  const far = ({ distance }: Closure): number => distance ?? Infinity;
  const ordered = closures.toSorted(
    (a, b) => compare(far(a), far(b)) || compare(a.ordinal, b.ordinal) || compare(a.name, b.name),
  );
  return new Map(ordered.map(({ id }, index) => [id, index]));
}

const compare = <Value extends number | string>(a: Value, b: Value): number =>
  a < b ? -1 : a > b ? 1 : 0;
