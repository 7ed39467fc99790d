import { arcCount } from './arcCount.ts';
import type { Air, InstrumentEntry } from '../record/instrumentLog.ts';
import type { ArcPolicy } from '../record/practice.ts';
import type { Quantity } from '../record/message.ts';
import type { SplicerRecord } from '../record/splicerRecord.ts';

export interface ArcTask {
  policy: ArcPolicy;
  /** What was done to this splicer, oldest first. */
  log: readonly InstrumentEntry[];
  /** What it recorded, oldest first. */
  records: readonly Pick<
    SplicerRecord,
    'at' | 'arcs' | 'glass' | 'fused' | 'fibers' | 'temperature' | 'pressure' | 'humidity'
  >[];
  /** The air now, where it is read or typed; else that of the last record counts. */
  air: Air;
  /** The redo line for estimates, in thousandths of a dB; null where there is none. */
  highFrom: number | null;
  /** ISO time. */
  now: string;
}

/** Why the arc is to be checked, or is not. */
export type ArcReason =
  | { code: 'roundFailed'; round: number }
  | { code: 'noGoodCheck' | 'newSession' }
  | { code: 'electrodes'; what: 'cleaned' | 'replaced' }
  | { code: 'streak'; splices: number }
  | { code: 'arcsCounted'; arcs: number; glassUm: number; most: number }
  | { code: 'arcsLeft' | 'checkHolds'; arcs: number }
  | { code: 'idle'; days: number }
  /** What of the air changed since the last good check, and how much is too much. */
  | { code: 'temperature'; rise: 'up' | 'down'; change: Quantity; much: Quantity }
  | { code: 'pressure'; rise: 'up' | 'down'; change: Quantity; much: Quantity }
  | { code: 'humidity'; rise: 'up' | 'down'; change: number; much: number };

export interface ArcStanding {
  state: 'due' | 'soon' | 'good';
  /** Why, the weightiest first. */
  reasons: ArcReason[];
  /** Arcs until the count asks for a check. */
  arcsLeft: number;
}

/** Part of a limit from which a check is said to be due soon. */
const SOON = 0.8;
const DAY = 86_400_000;
/** A session that was begun earlier is another one. */
const SESSION = 14 * 3_600_000;

/**
 * Whether the arc is to be checked: by the session, by the count of arcs, by changed air, after a streak
 * of failed or high splices, after disuse, after electrodes were touched (common practice, no source;
 * the figures are the policy's).
 */
export function arcStanding(task: ArcTask): ArcStanding {
  const { policy, log, records, now } = task;
  const good = log.findLast((entry) => entry.kind === 'arc check' && entry.passed) as
    Extract<InstrumentEntry, { kind: 'arc check' }> | undefined;
  const last = records.at(-1);
  const glass = last?.glass ?? 125;
  const most = glass >= 400 ? policy.arcs400 : policy.arcs125;
  const arcs = arcsSince(task, good);
  const arcsLeft = Math.max(0, most - arcs);
  const due: ArcReason[] = [];
  const soon: ArcReason[] = [];
  const unfinished = lastCheckFailed(log);
  if (unfinished) due.push({ code: 'roundFailed', round: unfinished });
  if (!good) due.push({ code: 'noGoodCheck' });
  if (good && policy.when !== 'triggers' && !sameSession(good.at, log, now))
    due.push({ code: 'newSession' });
  if (good && policy.when !== 'session') {
    const touched = log.findLast((entry) => entry.kind === 'electrodes');
    if (touched && touched.at > good.at) due.push({ code: 'electrodes', what: touched.what });
    const streak = streakOf(task, good.at);
    if (streak >= policy.streak) due.push({ code: 'streak', splices: streak });
    if (arcs >= most) due.push({ code: 'arcsCounted', arcs, glassUm: glass, most });
    else if (arcs >= SOON * most) soon.push({ code: 'arcsLeft', arcs: arcsLeft });
    for (const change of airChanges(task, good.air)) (change.over ? due : soon).push(change.reason);
    const idle = Date.parse(now) - Math.max(Date.parse(good.at), last ? Date.parse(last.at) : 0);
    if (idle >= policy.idleDays * DAY) due.push({ code: 'idle', days: Math.floor(idle / DAY) });
  }
  if (due.length > 0) return { state: 'due', reasons: due, arcsLeft };
  if (soon.length > 0) return { state: 'soon', reasons: soon, arcsLeft };
  return {
    state: 'good',
    reasons: [{ code: 'checkHolds', arcs: arcsLeft }],
    arcsLeft,
  };
}

/** The round in which the last check stands without having passed, or 0. */
function lastCheckFailed(log: readonly InstrumentEntry[]): number {
  const last = log.findLast((entry) => entry.kind === 'arc check');
  return last?.kind === 'arc check' && !last.passed ? last.round : 0;
}

/** Arcs since the last good check, by what is counted, which starts anew with new electrodes. */
function arcsSince(
  { records, log }: ArcTask,
  good: { at: string; arcs: number } | undefined,
): number {
  const count = arcCount({ records, log });
  if (!good) return count;
  const then = arcCount({
    records: records.filter(({ at }) => at <= good.at),
    log: log.filter(({ at }) => at <= good.at),
  });
  return count >= then ? count - then : count;
}

function sameSession(checkedAt: string, log: readonly InstrumentEntry[], now: string): boolean {
  const begun = log.findLast((entry) => entry.kind === 'session');
  if (begun) return checkedAt >= begun.at && Date.parse(now) - Date.parse(begun.at) < SESSION;
  return Date.parse(now) - Date.parse(checkedAt) < SESSION;
}

/** How many of the newest runs failed or read high, one after the other. */
function streakOf({ records, highFrom }: ArcTask, since: string): number {
  let streak = 0;
  for (let index = records.length - 1; index >= 0; index--) {
    const record = records[index]!;
    if (record.at <= since) break;
    const bad = record.fibers.some(
      ({ error, estimateMdb }) =>
        error !== null || (highFrom !== null && estimateMdb !== null && estimateMdb > highFrom),
    );
    if (!bad) break;
    streak++;
  }
  return streak;
}

function airChanges(
  { policy, air, records }: ArcTask,
  then: Air,
): { over: boolean; reason: ArcReason }[] {
  const last = records.at(-1);
  return (['temperature', 'humidity', 'pressure'] as const).flatMap((key) => {
    const before = then[key];
    const here = air[key] ?? last?.[key] ?? null;
    if (before === null || here === null) return [];
    const change = here - before;
    const part = Math.abs(change) / policy[key];
    return part < SOON ? [] : [{ over: part >= 1, reason: airReason(key, change, policy[key]) }];
  });
}

function airReason(
  key: 'temperature' | 'humidity' | 'pressure',
  change: number,
  much: number,
): ArcReason {
  const rise = change > 0 ? 'up' : 'down';
  switch (key) {
    case 'temperature':
      return {
        code: key,
        rise,
        change: { temperatureChangeC: change },
        much: { temperatureChangeC: much },
      };
    case 'pressure':
      return {
        code: key,
        rise,
        change: { barometerChangeKpa: change },
        much: { barometerChangeKpa: much },
      };
    case 'humidity':
      return { code: key, rise, change: Number(Math.abs(change).toFixed(1)), much };
  }
}
