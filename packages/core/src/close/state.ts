import { circuitsDown } from './cutOver.ts';
import type { ClosingEntry, EntryOf } from '../record/closing.ts';
import type { Hardware } from '../record/hardware.ts';
import type { ClosingPoint, ClosingSplice } from './pointTypes.ts';
import { type PressureRound, roundsOf, testTask, underPressure } from './pressureTest.ts';

/**
 * - `open`: not checked, or not since its tray was worked on.
 * - `good`, `bad`, `waived`: by the last word on it.
 */
export type PointState = 'open' | 'good' | 'bad' | 'waived';

export interface LookedPoint {
  point: ClosingPoint;
  state: PointState;
  /** The last word on it in this visit; null without one. */
  entry: EntryOf<'point'> | null;
  /** The slot that was spliced after it was looked at, for which it is open again; null without one. */
  splicedSlot: number | null;
}

/** Where the closing of a closure stands. */
export interface ClosingState {
  /** The visit that is under way; null where none was opened. */
  visit: EntryOf<'visit'> | null;
  points: LookedPoint[];
  rounds: PressureRound[];
  /** Whether the closure is tested at all, or waived from it. */
  test: 'none' | 'to do' | 'passed' | 'waived';
  /** Signatures that hold for this visit. */
  signatures: EntryOf<'sign'>[];
  /** What stands in the way of signing; none where it can be signed. */
  blocks: SigningBlock[];
  stage: 'to come' | 'under way' | 'ready' | 'signed';
}

/** What stands in the way of signing. */
export type SigningBlock =
  | { code: 'pressureOn' }
  | { code: 'pointsFailed' | 'pointsOpen'; points: number }
  | { code: 'circuitsDown'; circuits: readonly string[] }
  | { code: 'testNotPassed' };

export const PRESSURE_POINT = 'pressure';

interface StateTask {
  entries: readonly ClosingEntry[];
  points: readonly ClosingPoint[];
  hardware: Hardware | null;
  splices: readonly ClosingSplice[];
  /** Largest fall that counts as tight, pascals a minute. */
  leakLimit: number;
}

/**
 * Derives where the closing stands. A new visit begins the list and the test anew: what was looked at
 * before the closure was opened again says nothing of how it lies now.
 * @param entries all of the closure, in the order in which they were recorded
 */
export function closingState(parts: StateTask): ClosingState {
  const { entries, hardware, leakLimit } = parts;
  const start = entries.findLastIndex((entry) => entry.kind === 'visit');
  const visit = start < 0 ? null : (entries[start] as EntryOf<'visit'>);
  const own = start < 0 ? entries : entries.slice(start);
  const words = lastWords(own);
  const points = parts.points.map((point) => lookedAt(point, words, parts.splices));
  const task = testTask(hardware, leakLimit);
  const rounds = [
    // Whoever opens the closure again finds the pressure that nobody let out.
    ...roundsOf(entries.slice(0, Math.max(0, start)), task, entries).filter(
      ({ release }) => release === null,
    ),
    ...roundsOf(own, task),
  ];
  const test = testOf(hardware, rounds, words);
  const signatures = own.filter((entry) => entry.kind === 'sign');
  const blocks = blocksOf(points, rounds, test, circuitsDown(own));
  const signed = ['technician', 'lead'].every((role) =>
    signatures.some((signature) => signature.role === role),
  );
  return {
    visit,
    points,
    rounds,
    test,
    signatures,
    blocks,
    stage: signed
      ? 'signed'
      : blocks.length === 0
        ? 'ready'
        : own.some(({ kind }) => kind !== 'visit')
          ? 'under way'
          : 'to come',
  };
}

function lastWords(entries: readonly ClosingEntry[]): Map<string, EntryOf<'point'>> {
  const words = new Map<string, EntryOf<'point'>>();
  for (const entry of entries) if (entry.kind === 'point') words.set(entry.point, entry);
  return words;
}

function lookedAt(
  point: ClosingPoint,
  words: ReadonlyMap<string, EntryOf<'point'>>,
  splices: readonly ClosingSplice[],
): LookedPoint {
  const entry = words.get(point.key) ?? null;
  if (point.found) {
    // The record speaks for itself; a person can only waive what it says.
    const waived = !point.found.ok && entry?.verdict === 'waived';
    return {
      point,
      entry,
      splicedSlot: null,
      state: point.found.ok ? 'good' : waived ? 'waived' : 'bad',
    };
  }
  if (entry === null) return { point, entry, splicedSlot: null, state: 'open' };
  const later = point.slots && laterArc(point.key, entry.at, splices);
  if (later && entry.verdict !== 'bad')
    return { point, entry, state: 'open', splicedSlot: later.splice.slot };
  return { point, entry, splicedSlot: null, state: entry.verdict };
}

const laterArc = (key: string, at: string, splices: readonly ClosingSplice[]) =>
  splices.find((one) => `tray:${one.splice.tray}` === key && one.at !== null && one.at > at);

/** Bolts that may be ticked now: the next in the sheet's order, or none where all are. */
export function nextBolt(points: readonly LookedPoint[]): string | null {
  const next = points.find(
    ({ point, state }) => point.group === 'bolts' && (state === 'open' || state === 'bad'),
  );
  return next?.point.key ?? null;
}

function testOf(
  hardware: Hardware | null,
  rounds: readonly PressureRound[],
  words: ReadonlyMap<string, EntryOf<'point'>>,
): ClosingState['test'] {
  if (hardware !== null && hardware.testKpa === 0) return 'none';
  const last = rounds.at(-1);
  if (last?.state === 'passed' && last.release) return 'passed';
  return words.get(PRESSURE_POINT)?.verdict === 'waived' ? 'waived' : 'to do';
}

function blocksOf(
  points: readonly LookedPoint[],
  rounds: readonly PressureRound[],
  test: ClosingState['test'],
  down: readonly string[],
): SigningBlock[] {
  const blocks: SigningBlock[] = [];
  const count = (state: PointState) => points.filter((one) => one.state === state).length;
  if (underPressure(rounds)) blocks.push({ code: 'pressureOn' });
  if (count('bad') > 0) blocks.push({ code: 'pointsFailed', points: count('bad') });
  if (count('open') > 0) blocks.push({ code: 'pointsOpen', points: count('open') });
  if (down.length > 0) blocks.push({ code: 'circuitsDown', circuits: down });
  if (test === 'to do') blocks.push({ code: 'testNotPassed' });
  return blocks;
}
