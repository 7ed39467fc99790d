import { useMemo } from 'react';
import {
  type Evidence,
  type Limits,
  MOST_ESTIMATE,
  MOST_READING,
  type Sleeve,
  type SplicerRecord,
  isMade,
  nextSleeve,
  parseKeypad,
  sleevesOf,
} from '@cordel/core';
import type { ClosureWork } from '@cordel/client';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { useProjectView } from '@/projects/context';
import {
  type BenchSplice,
  benchSplices,
  fusedTogether,
  isDead,
  isMeasurable,
  readingKind,
  stateOf,
} from './benchSplices';
import { type BenchDraft, type BenchMode, FRESH, useBenchDraft, withStep } from './draft';
import { newAttempt, newReading, newRuling, recordEvidence, sentToRedo, takeBack } from './record';
import { say } from './said';
import { positionOf, typedFrom } from './taking';
import { typeKey } from './typeKey';

function waitsIn(mode: BenchMode, splice: BenchSplice, draft: BenchDraft, limits: Limits): boolean {
  if (mode === 'splice') return stateOf(splice) === 'open';
  if (mode === 'redo') return stateOf(splice) === 'redo';
  if (!isMeasurable(splice)) return false;
  const nm = draft.wavelengthNm ?? limits.wavelengths[0]!;
  if (draft.kind === 'AB' || draft.kind === 'BA') {
    return (
      splice.standing.directions.find((both) => both.wavelengthNm === nm)?.[draft.kind] == null
    );
  }
  return !splice.standing.figures.some(
    (figure) => figure.grade === draft.kind && figure.wavelengthNm === nm,
  );
}

/** Everything the Bench of one closure does. */
export function useBench(
  work: ClosureWork,
  mode: BenchMode,
  records: readonly SplicerRecord[] = [],
) {
  const { project, fiberName } = useProjectView();
  const { limits } = project;
  const [draft, change] = useBenchDraft(work.closure.id, mode);
  const splices = useMemo(() => benchSplices(work, limits), [work, limits]);
  const sleeves = useMemo(() => sleevesOf(splices), [splices]);
  const nm = draft.wavelengthNm ?? limits.wavelengths[0]!;
  const waits = (sleeve: Sleeve<BenchSplice>) =>
    sleeve.splices.some((splice) => waitsIn(mode, splice, draft, limits));
  const held = sleeves.find((sleeve) => sleeve.key === draft.sleeve);
  const sleeve = held ?? nextSleeve(sleeves, null, waits);
  const own = sleeve?.splices ?? [];
  const fibers = mode === 'measure' ? own.filter(isMeasurable) : fusedTogether(own);
  const record = records.find(({ id }) => id === draft.recordId) ?? null;
  const cursor = Math.min(draft.cursor, Math.max(0, fibers.length - 1));
  const fiber = fibers[cursor] ?? sleeve?.splices[0] ?? null;
  const keys = fiber ? (draft.typed[fiber.id] ?? '') : '';
  const most = mode === 'measure' ? MOST_READING : MOST_ESTIMATE;
  const read = (splice: BenchSplice) => parseKeypad(draft.typed[splice.id] ?? '', most);

  const type = (key: string) => {
    if (!fiber) return;
    change({
      sleeve: sleeve!.key,
      typed: { ...draft.typed, [fiber.id]: typeKey(keys, key, mode === 'measure') },
    });
  };

  /** Takes a sleeve in hand, at one of its fibers where one is named. */
  const go = (key: string | null, spliceId?: string) => {
    const target = sleeves.find((other) => other.key === key);
    const list =
      mode === 'measure'
        ? target?.splices.filter(isMeasurable)
        : fusedTogether(target?.splices ?? []);
    const at = list?.findIndex(({ id }) => id === spliceId) ?? 0;
    change({ ...FRESH, sleeve: key, cursor: Math.max(0, at) });
  };

  const moveOn = (part: Partial<BenchDraft>) => {
    const next = nextSleeve(
      sleeves,
      sleeve?.key ?? null,
      (other) => other.key !== sleeve?.key && waits(other),
    );
    change({
      ...FRESH,
      sleeve: next?.key ?? null,
      ...part,
    });
  };

  const words = (list: readonly BenchSplice[]) => {
    const first = list[0]!;
    const name = fiberName(first.cableA, first.fiberA);
    return list.length === 1 ? name : `${name}–${list.at(-1)!.fiberA}`;
  };

  const fromRecord = (splice: BenchSplice) => {
    const position = record ? positionOf(record, sleeve!.splices, fibers, splice) : null;
    return position === null ? null : { recordId: record!.id, position, origin: record!.origin };
  };

  /** Takes a record in hand for a sleeve: its estimates stand as if they were typed. */
  const take = (next: SplicerRecord, key: string, part: Partial<BenchDraft> = {}) => {
    const target = sleeves.find((other) => other.key === key);
    if (!target) return;
    change({
      ...FRESH,
      sleeveOn: key === sleeve?.key && draft.sleeveOn,
      step: key === sleeve?.key ? draft.step : 0,
      sleeve: key,
      recordId: next.id,
      typed: typedFrom(next, target.splices),
      ...part,
    });
  };

  /** A ribbon that is redone had its arc on every fiber, whether its figure was typed or not. */
  const entriesTyped = (): Evidence[] =>
    fibers.map((splice) => {
      const loss = read(splice);
      if (mode !== 'measure')
        return newAttempt(splice.id, loss.ok ? loss.value : null, fromRecord(splice));
      const tryId = splice.standing.tries.at(-1)?.tryId ?? null;
      const figure = {
        ...readingKind(draft.kind),
        wavelengthNm: nm,
        lossMdb: loss.ok ? loss.value : 0,
      };
      return newReading(splice.id, tryId, figure);
    });

  /** Records what is typed; kept, a ribbon goes fiber by fiber first. `again` stays for another try. */
  const keep = (again: boolean) => {
    if (!fiber || !sleeve) return;
    if (!read(fiber).ok) return change({ sleeve: sleeve.key, cursor });
    const after = fibers.findIndex((splice, index) => index > cursor && !read(splice).ok);
    const rest = after >= 0 ? after : fibers.findIndex((splice) => !read(splice).ok);
    if (!again && rest >= 0) return change({ sleeve: sleeve.key, cursor: rest });
    const entries = entriesTyped();
    if (again) entries.push(...entries.flatMap(sentToRedo));
    const said = `${words(fibers)}: ${again ? t('toRedo') : mode === 'measure' ? `${nm} nm` : 'estimate'}`;
    recordEvidence(entries, said);
    const kept = !again && mode !== 'measure';
    const history = withStep(draft.history, {
      sleeve: sleeve.key,
      entries,
      words: words(fibers),
      kept,
    });
    if (again) change({ ...FRESH, sleeve: sleeve.key, history });
    else moveOn({ history });
  };

  /** The joint in hand was made again before it was kept: both tries count, the newer is in hand. */
  const keepAndTake = (next: SplicerRecord) => {
    if (!sleeve || !fibers.some((splice) => read(splice).ok)) return;
    const entries = entriesTyped();
    recordEvidence(entries, t('whatEstimate', { what: words(fibers) }));
    take(next, sleeve.key, {
      history: withStep(draft.history, {
        sleeve: sleeve.key,
        entries,
        words: words(fibers),
        kept: false,
      }),
    });
  };

  /** Puts the fiber in hand off, or calls it dead; `all` its whole ribbon. */
  const rule = (kind: 'skip' | 'dead', why: string, all: boolean) => {
    if (!sleeve || !fiber) return;
    const list = all ? sleeve.splices.filter((splice) => !isDead(splice)) : [fiber];
    const entries = list.map((splice) =>
      newRuling(splice.id, splice.standing.tries.at(-1)?.tryId ?? null, kind, why),
    );
    recordEvidence(entries, `${words(list)}: ${kind === 'dead' ? 'dead' : 'skipped'}`);
    const step = { sleeve: sleeve.key, entries, words: words(list), kept: false };
    const history = withStep(draft.history, step);
    if (all || fibers.length <= 1) moveOn({ history });
    else change({ sleeve: sleeve.key, cursor: 0, history });
  };

  /** Takes back what was recorded last, step by step. */
  const undo = () => {
    const last = draft.history.at(-1);
    if (!last) return;
    recordEvidence(
      last.entries.map((before) => takeBack(before, t('slipOfTheHandUndoneAt'))),
      t('whatUndone', { what: last.words }),
    );
    const history = draft.history.slice(0, -1);
    change({ ...FRESH, sleeve: last.sleeve, history });
    const [first] = last.entries;
    const again = first?.type === 'attempt' && records.find(({ id }) => id === first.recordId);
    // A record that was kept by a slip is in hand again.
    if (again) take(again, last.sleeve, { history });
  };

  const made = splices.filter(({ judgement }) => isMade(judgement)).length;
  const dead = splices.filter(isDead).length;
  const skipped = splices.filter((splice) => stateOf(splice) === 'skipped');
  return {
    closure: work.closure,
    limits,
    draft,
    change,
    splices,
    sleeves,
    sleeve,
    record,
    take,
    keepAndTake,
    words,
    fibers,
    fiber,
    cursor,
    keys,
    nm,
    mode,
    type,
    go,
    keep,
    rule,
    undo,
    last: draft.history.at(-1) ?? null,
    done: made,
    due: splices.length - dead,
    skipped,
    waiting: sleeves.filter(waits).length,
    finished: !held && !sleeve,
    allTyped: fibers.length > 0 && fibers.every((splice) => read(splice).ok),
    read,
    said: fiber ? say({ fiber, fibers, read, mode, draft, wavelengthNm: nm, limits }) : null,
  };
}

export type Bench = ReturnType<typeof useBench>;
