import { formatBarometerChange } from '../measure/air.ts';
import { plural } from '../measure/count.ts';
import { formatTemperatureChange } from '../measure/temperature.ts';
import type { Air, InstrumentEntry } from '../record/instrumentLog.ts';
import type { ArcPolicy } from '../record/practice.ts';
import type { Units } from '../record/units.ts';
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
  /** In which changes of the air are told. */
  units: Pick<Units, 'temperature' | 'pressure'>;
}

export interface ArcStanding {
  state: 'due' | 'soon' | 'good';
  /** Why, the weightiest first. */
  reasons: string[];
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
  const due: string[] = [];
  const soon: string[] = [];
  const unfinished = lastCheckFailed(log);
  if (unfinished) due.push(`Round ${unfinished} did not pass: run it again.`);
  if (!good) due.push('No good check is known of this splicer.');
  if (good && policy.when !== 'triggers' && !sameSession(good.at, log, now))
    due.push('A new session: this project checks the arc at the start of each.');
  if (good && policy.when !== 'session') {
    const touched = log.findLast((entry) => entry.kind === 'electrodes');
    if (touched && touched.at > good.at)
      due.push(
        `Electrodes were ${touched.kind === 'electrodes' ? touched.what : 'touched'} since the last good check.`,
      );
    const streak = streakOf(task, good.at);
    if (streak >= policy.streak) due.push(`${streak} failed or high splices in a row.`);
    if (arcs >= most)
      due.push(
        `${plural(arcs, 'arc')} on ${glass} um glass since the last good check; ${most} is the count.`,
      );
    else if (arcs >= SOON * most) soon.push(`Arc check in ${plural(arcsLeft, 'arc')}.`);
    for (const change of airChanges(task, good.air)) (change.over ? due : soon).push(change.words);
    const idle = Date.parse(now) - Math.max(Date.parse(good.at), last ? Date.parse(last.at) : 0);
    if (idle >= policy.idleDays * DAY)
      due.push(`Not used for ${plural(Math.floor(idle / DAY), 'day')}.`);
  }
  if (due.length > 0) return { state: 'due', reasons: due, arcsLeft };
  if (soon.length > 0) return { state: 'soon', reasons: soon, arcsLeft };
  return {
    state: 'good',
    reasons: [`Last good check holds: ${plural(arcsLeft, 'arc')} left.`],
    arcsLeft,
  };
}

/** The round in which the last check stands without having passed, or 0. */
function lastCheckFailed(log: readonly InstrumentEntry[]): number {
  const last = log.findLast((entry) => entry.kind === 'arc check');
  return last?.kind === 'arc check' && !last.passed ? last.round : 0;
}

/** Arcs since the last good check, by the splicer's own counter, which starts anew with new electrodes. */
function arcsSince({ records }: ArcTask, good: { at: string; arcs: number } | undefined): number {
  const counter = records.at(-1)?.arcs;
  if (counter === undefined) return 0;
  if (!good) return counter;
  return counter >= good.arcs ? counter - good.arcs : counter;
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
  { policy, air, records, units }: ArcTask,
  then: Air,
): { over: boolean; words: string }[] {
  const last = records.at(-1);
  const kinds = [
    ['temperature', 'Temperature', (c: number) => formatTemperatureChange(c, units.temperature)],
    ['humidity', 'Humidity', (share: number) => `${Number(Math.abs(share).toFixed(1))} %`],
    ['pressure', 'Air pressure', (kpa: number) => formatBarometerChange(kpa, units)],
  ] as const;
  return kinds.flatMap(([key, words, format]) => {
    const before = then[key];
    const here = air[key] ?? last?.[key] ?? null;
    if (before === null || here === null) return [];
    const change = here - before;
    const part = Math.abs(change) / policy[key];
    if (part < SOON) return [];
    const sign = change > 0 ? '+' : '\u2212';
    return [
      {
        over: part >= 1,
        words: `${words} ${sign}${format(change)} since the last good check; ${format(policy[key])} is much.`,
      },
    ];
  });
}
