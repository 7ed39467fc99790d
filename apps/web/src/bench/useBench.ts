import { useMemo } from 'react';
import { type SplicerRecord, isFused, isMade, isTypedArc, sleevesOf } from '@cordel/core';
import {
  type BenchDeed,
  type BenchEvent,
  type BenchMode,
  type BenchSplice,
  type BenchTools,
  benchReducer,
  benchSplices,
  inHand,
  isDead,
  isRecordable,
  isWaiting,
  measuredNm,
  readBenchState,
  readTyped,
  stageOf,
} from '@cordel/core/session';
import type { ClosureWork } from '@cordel/client';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { keep, keptNow, usePersisted } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { newStamp, recordEvidence } from './record';
import { feedbackOf } from './feedback';
import { setupNow } from './useSetup';
import { logInstrument } from './useStation';

/** What was done, for the list of what waits to be sent. */
const DEEDS: Record<BenchDeed, (what: string, nm: number) => string> = {
  estimate: (what) => t('whatEstimate', { what }),
  reading: (what, nm) => t('whatAtNm', { what, nm }),
  redo: (what) => t('whatToRedo', { what }),
  skip: (what) => t('whatSkipped', { what }),
  dead: (what) => t('whatDead', { what }),
  undo: (what) => t('whatUndone', { what }),
};

/** The Bench of one closure: what is in hand, kept with every key so that a reload loses nothing. */
export function useBench(
  work: ClosureWork,
  mode: BenchMode,
  records: readonly SplicerRecord[] = [],
) {
  const { project, fiberName } = useProjectView();
  const { limits } = project;
  const key = `cordel.bench.${mode}.${work.closure.id}`;
  const [text] = usePersisted(key, '');
  const state = useMemo(() => readBenchState(text), [text]);
  const splices = useMemo(() => benchSplices(work, limits), [work, limits]);
  const sleeves = useMemo(() => sleevesOf(splices), [splices]);
  const words = (list: readonly BenchSplice[]) => {
    const first = list[0]!;
    const name = fiberName(first.cableA, first.fiberA, first.legA);
    return list.length === 1 ? name : `${name}–${list.at(-1)!.fiberA}`;
  };
  const tools: BenchTools = {
    mode,
    sleeves,
    limits,
    records,
    stamp: newStamp,
    nameOf: words,
    reasons: { redo: t('sentToRedoAtTheBench'), undo: t('slipOfTheHandUndoneAt') },
  };
  const hand = inHand(state, tools);
  const nm = measuredNm(state, tools);
  const read = (splice: BenchSplice) => readTyped(state, splice, tools);
  const dispatch = (event: BenchEvent) => {
    // As it is kept now: two events may come before the page is drawn again.
    const { state: next, recorded } = benchReducer(
      readBenchState(keptNow(key) ?? ''),
      event,
      tools,
    );
    keep(key, JSON.stringify(next));
    if (!recorded) return;
    recordEvidence(recorded.entries, DEEDS[recorded.deed](recorded.words, nm));
    const { splicerId, ways } = setupNow(work.closure.id);
    // What is typed was fused all the same; a mechanical end was not.
    const joint = splices.find(({ id }) => id === recorded.entries[0]?.spliceId);
    const isMechanical =
      joint?.end == null && ways.single === 'mechanical' && recorded.entries.length === 1;
    const wasFused = isFused(joint?.end ?? null) && !isMechanical;
    if (splicerId !== null && wasFused && isTypedArc(recorded.entries))
      logInstrument(
        project.id,
        { kind: 'arcs', instrumentId: splicerId, count: 1 },
        t('anArcOf', { what: recorded.words }),
      );
  };
  const { fiber, fibers } = hand;
  return {
    ...hand,
    tools,
    closure: work.closure,
    limits,
    mode,
    state,
    dispatch,
    splices,
    sleeves,
    words,
    nm,
    read,
    keys: fiber ? (state.typed[fiber.id] ?? '') : '',
    last: state.history.at(-1) ?? null,
    done: splices.filter(({ judgement }) => isMade(judgement)).length,
    due: splices.length - splices.filter(isDead).length,
    skipped: splices.filter((splice) => stageOf(splice) === 'skipped'),
    isRecordable: (splice: BenchSplice) => isRecordable(state, splice, tools),
    waiting: sleeves.filter((sleeve) => isWaiting(sleeve, state, tools)).length,
    allTyped: fibers.length > 0 && fibers.every((splice) => isRecordable(state, splice, tools)),
    feedback: fiber
      ? feedbackOf({ fiber, fibers, read, mode, state, wavelengthNm: nm, limits })
      : null,
  };
}

export type Bench = ReturnType<typeof useBench>;
