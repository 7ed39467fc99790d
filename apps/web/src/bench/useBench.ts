import { useMemo } from 'react';
import {
  type Evidence,
  type Limits,
  MOST_ESTIMATE,
  MOST_READING,
  type Sleeve,
  nextSleeve,
  parseKeypad,
  sleevesOf,
} from '@cordel/core';
import type { Work } from '@/data/setting';
import { useProjectView } from '@/projects/context';
import { type BenchSplice, benchSplices, isDead, readingKind } from './benchSplices';
import { type BenchDraft, type BenchMode, useBenchDraft } from './draft';
import { newAttempt, newReading, newRuling, recordEvidence, takeBack } from './record';
import { say } from './said';
import { typeKey } from './typeKey';

function waitsIn(mode: BenchMode, splice: BenchSplice, draft: BenchDraft, limits: Limits): boolean {
  if (mode === 'splice') return splice.judgement.verdict === 'open';
  if (mode === 'redo') return splice.judgement.redo;
  if (isDead(splice) || splice.judgement.verdict === 'open') return false;
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
export function useBench(work: Work, mode: BenchMode) {
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
  // A dead fiber of a ribbon is passed over; in measure mode so is what is not spliced yet.
  const fibers = (sleeve?.splices ?? []).filter(
    (splice) => !isDead(splice) && (mode !== 'measure' || splice.judgement.verdict !== 'open'),
  );
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

  const go = (key: string | null) => change({ sleeve: key, cursor: 0, typed: {} });

  const moveOn = (part: Partial<BenchDraft>) => {
    const next = nextSleeve(
      sleeves,
      sleeve?.key ?? null,
      (other) => other.key !== sleeve?.key && waits(other),
    );
    change({
      sleeve: next?.key ?? null,
      cursor: 0,
      typed: {},
      ...part,
    });
  };

  const words = (list: readonly BenchSplice[]) => {
    const first = list[0]!;
    const name = fiberName(first.cableA, first.fiberA);
    return list.length === 1 ? name : `${name}–${list.at(-1)!.fiberA}`;
  };

  /** A ribbon that is redone had its arc on every fiber, whether its figure was typed or not. */
  const entriesTyped = (): Evidence[] =>
    fibers.map((splice) => {
      const loss = read(splice);
      if (mode !== 'measure') return newAttempt(splice.id, loss.ok ? loss.value : null);
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
    const said = `${words(fibers)}: ${mode === 'measure' ? `${nm} nm` : 'estimate'}`;
    recordEvidence(entries, said);
    const last = { sleeve: sleeve.key, entries, words: words(fibers) };
    if (again) change({ sleeve: sleeve.key, typed: {}, cursor: 0, last });
    else moveOn({ last });
  };

  const skip = (why: string, all: boolean) => {
    if (!sleeve || !fiber) return;
    const list = all ? sleeve.splices.filter((splice) => !isDead(splice)) : [fiber];
    const entries = list.map((splice) =>
      newRuling(splice.id, splice.standing.tries.at(-1)?.tryId ?? null, 'dead', why),
    );
    recordEvidence(entries, `${words(list)}: skipped`);
    const last = { sleeve: sleeve.key, entries, words: words(list) };
    if (all || fibers.length <= 1) moveOn({ last });
    else change({ sleeve: sleeve.key, cursor: 0, last });
  };

  const undo = () => {
    if (!draft.last) return;
    recordEvidence(
      draft.last.entries.map((before) =>
        takeBack(before, 'Slip of the hand, undone at the Bench.'),
      ),
      `${draft.last.words}: undone`,
    );
    change({ sleeve: draft.last.sleeve, cursor: 0, typed: {}, last: null });
  };

  const done = splices.filter((splice) => splice.judgement.verdict !== 'open').length;
  return {
    limits,
    draft,
    change,
    splices,
    sleeve,
    fibers,
    fiber,
    cursor,
    keys,
    nm,
    mode,
    type,
    go,
    keep,
    skip,
    undo,
    done,
    waiting: sleeves.filter(waits).length,
    finished: !held && !sleeve,
    allTyped: fibers.length > 0 && fibers.every((splice) => read(splice).ok),
    read,
    said: fiber ? say({ fiber, fibers, read, mode, draft, wavelengthNm: nm, limits }) : null,
  };
}

export type Bench = ReturnType<typeof useBench>;
