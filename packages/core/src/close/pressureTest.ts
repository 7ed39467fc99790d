import type { BubblesSeen, ClosingEntry, EntryOf } from '../record/closing.ts';
import type { Hardware } from '../record/hardware.ts';
import { type Origin, originOfAll } from '../record/origin.ts';
import { faceOf } from './face.ts';
import { type GaugeReading, type LeakEstimate, estimateLeak } from './leak.ts';

/** What a pressure test asks for, by the hardware's profile and the project's practice. */
export interface TestTask {
  /** Ports and seams that soapy water goes on. */
  places: readonly string[];
  /** How long the pressure is held with the gauge read, minutes; 0 where soapy water alone decides. */
  minutes: number;
  /** Largest fall that counts as tight, pascals a minute. */
  leakLimit: number;
}

/** What the test of a closure asks for; without hardware no places are known. */
export function testTask(hardware: Hardware | null, leakLimit: number): TestTask {
  if (hardware === null) return { places: [], minutes: 0, leakLimit };
  const { ports, seams } = faceOf(hardware);
  const places = [...ports, ...seams].map(({ name }) => name);
  return { places, minutes: hardware.testMinutes, leakLimit };
}

/** The usual pressures of a flash test, kPa: 4 and 5 psi are common practice, no source. The sheet's figure counts. */
export const USUAL_TEST_KPA = [27.6, 34.5] as const;

/** The most that a closure may be brought to, pascals; null where its sheet's figure is still to be typed. */
export const testLimitPa = ({ testKpa }: Hardware): number | null =>
  testKpa === null ? null : Math.round(testKpa * 1000);

/** The most that is ever typed for a sheet: pascals. */
export const MOST_TYPED_TEST_PA = USUAL_TEST_KPA[1] * 1000;

/** Stands for all places in records that named none of them. */
export const EVERYWHERE = 'everywhere';

/**
 * - `under way`: nothing wrong seen yet, and not all that is asked for is there.
 * - `passed`, `failed`: said; `over`: the gauge showed more than the limit.
 */
export type RoundState = 'under way' | 'passed' | 'failed' | 'over';

/** What a round lacks before it can pass. */
export type MissingOfRound =
  | { code: 'places'; places: string[] }
  /** The pressure was not held, with the gauge read at the end, for so many minutes yet. */
  | { code: 'held'; minutes: number; asked: number }
  /** The readings are too few, or do not tell a leak from cooling yet. */
  | { code: 'readings'; verdict: 'few' | 'open' };

/** Why a round is what it is. */
export type RoundReason =
  | { code: 'overLimit' | 'falls' | 'rises' | 'tight' | 'noBubbles' }
  | { code: 'bubbles'; places: readonly string[] }
  | { code: 'missing'; missing: readonly MissingOfRound[] };

export interface PressureRound {
  round: EntryOf<'round'>;
  readings: EntryOf<'gauge'>[];
  /** What was seen at each place that is asked for or was marked. */
  looked: { place: string; seen: BubblesSeen }[];
  /** Places with bubbles. */
  bubbles: string[];
  repairs: EntryOf<'mend'>[];
  release: EntryOf<'release'> | null;
  estimate: LeakEstimate;
  /** Minutes from when it was pressurized to the last reading. */
  heldMinutes: number;
  missing: MissingOfRound[];
  /** Where its readings come from; null without any. */
  origin: Origin | null;
  state: RoundState;
  /** Why it is what it is. */
  reason: RoundReason;
}

const MINUTE = 60_000;

/** Minutes since it was pressurized: by the simulated clock, or by the moment. */
const minuteOf = (round: EntryOf<'round'>, { minute, at }: EntryOf<'gauge'>): number =>
  minute ?? (Date.parse(at) - Date.parse(round.at)) / MINUTE;

export const readingsOf = (
  round: EntryOf<'round'>,
  readings: readonly EntryOf<'gauge'>[],
): GaugeReading[] =>
  readings.map((reading) => ({
    minutes: minuteOf(round, reading),
    gaugePa: reading.gaugePa,
    temperature: reading.temperature,
  }));

/**
 * Rounds of a pressure test as they went.
 * @param all entries that may belong to them; those they stand among where none are given
 */
export const roundsOf = (
  entries: readonly ClosingEntry[],
  task: TestTask,
  all: readonly ClosingEntry[] = entries,
): PressureRound[] =>
  entries.flatMap((entry) => (entry.kind === 'round' ? [roundOf(entry, all, task)] : []));

function roundOf(
  round: EntryOf<'round'>,
  entries: readonly ClosingEntry[],
  task: TestTask,
): PressureRound {
  const belongs = <Kind extends 'gauge' | 'bubbles' | 'mend' | 'release'>(kind: Kind) =>
    entries.filter(
      (entry): entry is EntryOf<Kind> =>
        entry.kind === kind && (entry as EntryOf<'gauge'>).roundId === round.id,
    );
  const release = belongs('release').at(-1) ?? null;
  // What the gauge shows once the air is out says nothing of the test.
  const readings = belongs('gauge').filter(({ at }) => release === null || at <= release.at);
  const looked = lookedOf(belongs('bubbles'), task.places);
  const bubbles = looked.flatMap(({ place, seen }) => (seen === 'bubbles' ? [place] : []));
  const list = readingsOf(round, readings);
  const estimate = estimateLeak({
    readings: list,
    airPa: round.airPa,
    stepPa: round.stepPa,
    limit: task.leakLimit,
  });
  const heldMinutes = list.reduce((most, { minutes }) => Math.max(most, minutes), 0);
  const missing = missingOf(looked, heldMinutes, estimate, task);
  const over = readings.some(({ gaugePa }) => gaugePa > round.limitPa);
  return {
    round,
    readings,
    looked,
    bubbles,
    repairs: belongs('mend'),
    release,
    estimate,
    heldMinutes,
    missing,
    origin: originOfAll(readings.map(({ origin }) => origin)),
    ...judged(over, bubbles, estimate, missing, task),
  };
}

/** The last word on every place; a place without one is not checked. */
function lookedOf(
  entries: readonly EntryOf<'bubbles'>[],
  places: readonly string[],
): PressureRound['looked'] {
  const seen = new Map<string, BubblesSeen>(places.map((place) => [place, 'not checked']));
  for (const entry of entries)
    for (const named of entry.places)
      for (const place of named === EVERYWHERE ? [...seen.keys()] : [named])
        seen.set(place, entry.seen);
  return [...seen].map(([place, what]) => ({ place, seen: what }));
}

function missingOf(
  looked: PressureRound['looked'],
  heldMinutes: number,
  { verdict }: LeakEstimate,
  { minutes }: TestTask,
): MissingOfRound[] {
  const missing: MissingOfRound[] = [];
  const unchecked = looked.flatMap(({ place, seen }) => (seen === 'not checked' ? [place] : []));
  if (unchecked.length > 0) missing.push({ code: 'places', places: unchecked });
  if (minutes === 0) return missing;
  if (heldMinutes < minutes)
    missing.push({ code: 'held', minutes: minutes - heldMinutes, asked: minutes });
  if (verdict === 'few' || verdict === 'open') missing.push({ code: 'readings', verdict });
  return missing;
}

function judged(
  over: boolean,
  bubbles: readonly string[],
  { verdict }: LeakEstimate,
  missing: readonly MissingOfRound[],
  { minutes }: TestTask,
): { state: RoundState; reason: RoundReason } {
  if (over) return { state: 'over', reason: { code: 'overLimit' } };
  if (bubbles.length > 0) return { state: 'failed', reason: { code: 'bubbles', places: bubbles } };
  if (verdict === 'leaks') return { state: 'failed', reason: { code: 'falls' } };
  if (verdict === 'rises') return { state: 'failed', reason: { code: 'rises' } };
  if (missing.length > 0) return { state: 'under way', reason: { code: 'missing', missing } };
  return { state: 'passed', reason: { code: minutes === 0 ? 'noBubbles' : 'tight' } };
}

/** Rounds that may still have pressure on: nobody has said that it was let out. */
export const underPressure = (rounds: readonly PressureRound[]): PressureRound | null =>
  rounds.findLast(({ release }) => release === null) ?? null;
