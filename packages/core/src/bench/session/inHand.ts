import { parseKeypad } from '../../measure/index.ts';
import { MOST_ESTIMATE, MOST_READING } from '../../record/index.ts';
import type { Limits } from '../../record/limits.ts';
import { isFused } from '../../record/splice.ts';
import type { SplicerRecord } from '../../record/splicerRecord.ts';
import { type Sleeve, nextSleeve } from '../queue.ts';
import { type BenchSplice, fusedTogether, isMeasurable, stageOf } from './benchSplices.ts';
import type { BenchMode, BenchState } from './benchState.ts';

/** What lies on the Bench, besides what is in hand. */
export interface BenchScene {
  mode: BenchMode;
  sleeves: readonly Sleeve<BenchSplice>[];
  limits: Limits;
  /** Records that the splicer has sent. */
  records: readonly SplicerRecord[];
}

/** The wavelength that is measured, in nm. */
export const measuredNm = (state: BenchState, { limits }: BenchScene): number =>
  state.wavelengthNm ?? limits.wavelengths[0]!;

function isDue(splice: BenchSplice, state: BenchState, scene: BenchScene): boolean {
  if (scene.mode === 'splice') return stageOf(splice) === 'open';
  if (scene.mode === 'redo') return stageOf(splice) === 'redo';
  if (!isMeasurable(splice)) return false;
  const nm = measuredNm(state, scene);
  const { kind } = state;
  // What an OTDR reads one way is of splices.
  if (splice.end !== null && kind !== 'insertion') return false;
  if (kind === 'AB' || kind === 'BA')
    return splice.spliceState.directions.find((both) => both.wavelengthNm === nm)?.[kind] == null;
  return !splice.spliceState.figures.some(
    (figure) => figure.grade === kind && figure.wavelengthNm === nm,
  );
}

/** Whether a sleeve has something to be done in this mode. */
export const isWaiting = (
  sleeve: Sleeve<BenchSplice>,
  state: BenchState,
  scene: BenchScene,
): boolean => sleeve.splices.some((splice) => isDue(splice, state, scene));

/** The fibers of a sleeve that are worked on together. */
export const workedOn = (
  splices: readonly BenchSplice[],
  { mode }: Pick<BenchScene, 'mode'>,
): BenchSplice[] => (mode === 'measure' ? splices.filter(isMeasurable) : fusedTogether(splices));

/** How the keys typed for a splice read, in thousandths of a dB. */
export const readTyped = (state: BenchState, splice: BenchSplice, { mode }: BenchScene) =>
  parseKeypad(
    state.typed[splice.id] ?? '',
    mode === 'measure' || !isFused(splice.end) ? MOST_READING : MOST_ESTIMATE,
  );

/**
 * Whether a splice can be recorded as it is typed: its figure reads, or it is an end that nobody estimates and of which
 * something was seen.
 */
export function isRecordable(state: BenchState, splice: BenchSplice, scene: BenchScene): boolean {
  if (readTyped(state, splice, scene).ok) return true;
  const typed = state.typed[splice.id] ?? '';
  return scene.mode !== 'measure' && !isFused(splice.end) && typed === '' && isSeen(state);
}

/** Whether something was seen of the end in hand. */
export const isSeen = ({ end }: BenchState): boolean => end.face !== null || end.light !== null;

/** What is in hand: the sleeve, the fibers of it that are worked on, and the one that is typed for. */
export function inHand(state: BenchState, scene: BenchScene) {
  const held = scene.sleeves.find(({ key }) => key === state.sleeve);
  const sleeve = held ?? nextSleeve(scene.sleeves, null, (one) => isWaiting(one, state, scene));
  const fibers = workedOn(sleeve?.splices ?? [], scene);
  const cursor = Math.min(state.cursor, Math.max(0, fibers.length - 1));
  return {
    sleeve,
    fibers,
    cursor,
    fiber: fibers[cursor] ?? sleeve?.splices[0] ?? null,
    record: scene.records.find(({ id }) => id === state.recordId) ?? null,
    /** Nothing is in hand, and nothing waits. */
    isFinished: !sleeve,
  };
}
