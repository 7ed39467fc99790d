import type { Attempt, Evidence, InstrumentEntry, KeptRecord, Splice } from '@cordel/core';
import { type Random, countedIds, seeded } from '@cordel/standin';

/** What splicers recorded at a site, and what was done to them there. */
interface SiteRecords {
  evidence: Evidence[];
  records: KeptRecord[];
  log: InstrumentEntry[];
}

interface Site {
  projectId: string;
  /** When the crew began, UTC, and when it does in the story: ids follow from that. */
  start: string;
  told: string;
  splicerId: 'single-splicer' | 'ribbon-splicer';
  by: string;
  /** From which run on the blade is worn: cleave angles rise; 0 for a good one. */
  wornFrom: number;
  seed: number;
}

const FIELDS = { temperature: 11, pressure: 95.2, humidity: 62 };

/**
 * Gives the attempts of a site the splicer's records that they came from: a record for each arc, with
 * the twelve fibers of a ribbon in one.
 */
export function recordedBy(
  site: Site,
  evidence: readonly Evidence[],
  splices: readonly Splice[],
): SiteRecords {
  const id = countedIds(Date.parse(site.told) + 40);
  const random = seeded(site.seed);
  const byId = new Map(splices.map((splice) => [splice.id, splice]));
  const arcs = new Map<string, Attempt[]>();
  const tries = new Map<string, number>();
  for (const entry of evidence) {
    if (entry.type !== 'attempt') continue;
    const count = (tries.get(entry.spliceId) ?? 0) + 1;
    tries.set(entry.spliceId, count);
    const { tray, slot } = byId.get(entry.spliceId)!;
    const key = `${tray} ${slot} ${count}`;
    arcs.set(key, [...(arcs.get(key) ?? []), entry]);
  }
  const records: KeptRecord[] = [];
  const takes = new Map<string, { recordId: string; recordPosition: number }>();
  // The fibers of a ribbon were fused at once, whatever was tried again of them.
  for (const attempts of arcs.values()) {
    const record = recordOf(site, id(), records.length + 1, attempts, random);
    records.push(record);
    attempts.forEach((attempt, index) =>
      takes.set(attempt.id, { recordId: record.id, recordPosition: index + 1 }),
    );
  }
  return {
    evidence: evidence.map((entry) => {
      const take = takes.get(entry.id);
      return entry.type === 'attempt' && take ? { ...entry, ...take } : entry;
    }),
    records,
    log: logOf(site, id),
  };
}

function recordOf(
  { projectId, splicerId, wornFrom }: Site,
  id: string,
  number: number,
  attempts: readonly Attempt[],
  random: Random,
): KeptRecord {
  const { at } = attempts[0]!;
  const worn = wornFrom > 0 && number >= wornFrom ? 1.9 : 1;
  const cleave = () => Number((worn * (0.35 + 0.22 * Math.abs(random.normal()))).toFixed(2));
  return {
    id,
    projectId,
    splicerId,
    number: 400 + number,
    at,
    receivedAt: at,
    label: null,
    program: splicerId === 'ribbon-splicer' ? 'SM ribbon' : 'SM',
    heater: splicerId === 'ribbon-splicer' ? 'Ribbon' : '60 mm',
    fibers: attempts.map(({ estimateMdb }, index) => ({
      position: index + 1,
      cleaveLeft: cleave(),
      cleaveRight: cleave(),
      offset: Number(Math.abs(0.25 * random.normal()).toFixed(2)),
      gap: 12,
      image: null,
      estimateMdb,
      error: null,
    })),
    fused: true,
    tension: 'passed',
    arcs: 130 + number,
    glass: 125,
    ...FIELDS,
    origin: 'simulated',
  };
}

/** The session began with an arc check that took two rounds. */
function logOf({ projectId, start, splicerId, by }: Site, id: () => string): InstrumentEntry[] {
  const at = (minutes: number) =>
    new Date(Date.parse(start) - 600_000 + minutes * 60_000).toISOString();
  const checkId = id();
  const entry = (minutes: number) => ({
    id: id(),
    projectId,
    instrumentId: splicerId,
    by,
    at: at(minutes),
  });
  const check = (round: number, passed: boolean): InstrumentEntry => ({
    kind: 'arc check',
    ...entry(2 + 2 * round),
    checkId,
    round,
    passed,
    origin: 'simulated',
    arcs: 128 + round,
    air: FIELDS,
  });
  return [{ kind: 'session', ...entry(0) }, check(1, false), check(2, true)];
}
