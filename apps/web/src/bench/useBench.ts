import { useMemo } from 'react';
import {
  type Evidence,
  type Judgement,
  type Limits,
  MOST_ESTIMATE,
  MOST_READING,
  type Reading,
  type Sleeve,
  type Splice,
  type Standing,
  adviseEstimate,
  judgeSplice,
  nextSleeve,
  parseKeypad,
  reasonsFor,
  sleevesOf,
  standingOf,
} from '@cordel/core';
import type { Work } from '@/data/setting';
import { useProjectView } from '@/projects/context';
import { type BenchDraft, type BenchMode, useBenchDraft } from './draft';
import { typeKey } from './typeKey';
import { newAttempt, newReading, newRuling, recordEvidence, takeBack } from './record';

/** A splice on the Bench with what counts of it. */
export interface BenchSplice extends Splice {
  evidence: Evidence[];
  standing: Standing;
  judgement: Judgement;
}

/** What the typed figure means, in words. */
export interface Said {
  word: string;
  detail: string;
  tone: 'good' | 'bad' | 'plain';
  /** Whether a redo is the next step. */
  redo: boolean;
}

function benchSplices(work: Work, limits: Limits): BenchSplice[] {
  const groups = new Map<string, Evidence[]>();
  for (const entry of work.evidence) {
    const group = groups.get(entry.spliceId);
    if (group) group.push(entry);
    else groups.set(entry.spliceId, [entry]);
  }
  return work.splices.map((splice) => {
    const evidence = groups.get(splice.id) ?? [];
    const standing = standingOf(evidence);
    return {
      ...splice,
      evidence,
      standing,
      judgement: judgeSplice(standing, splice.method, limits),
    };
  });
}

const isDead = (splice: BenchSplice): boolean => splice.standing.ruling?.kind === 'dead';

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

const readingKind = (kind: BenchDraft['kind']): Pick<Reading, 'grade' | 'direction'> =>
  kind === 'AB' || kind === 'BA'
    ? { grade: 'one-way', direction: kind }
    : { grade: kind, direction: null };

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
    said: fiber ? say(fiber, fibers, read, mode, draft, nm, limits) : null,
  };
}

export type Bench = ReturnType<typeof useBench>;

type Read = (splice: BenchSplice) => ReturnType<typeof parseKeypad>;

function say(
  fiber: BenchSplice,
  fibers: readonly BenchSplice[],
  read: Read,
  mode: BenchMode,
  draft: BenchDraft,
  nm: number,
  limits: Limits,
): Said {
  const loss = read(fiber);
  if (!loss.ok) {
    const typed = draft.typed[fiber.id] ?? '';
    if (typed !== '' && typed !== '-')
      return { word: 'Check.', detail: loss.error, tone: 'bad', redo: false };
    return {
      word: '',
      detail: waitingWords(fiber, mode, draft, nm, limits),
      tone: 'plain',
      redo: false,
    };
  }
  if (mode === 'measure') return sayReading(fiber, loss.value, draft, nm, limits);
  const advice = fibers
    .flatMap((splice) => {
      const value = read(splice);
      return value.ok
        ? [
            {
              splice,
              advice: adviseEstimate(
                value.value,
                splice.standing.tries.length + 1,
                splice.method,
                limits,
              ),
            },
          ]
        : [];
    })
    .filter(({ advice }) => advice !== 'good');
  const worst = advice[0];
  const limit = limits.splice.estimate[fiber.method];
  const line = limit === null ? '' : `the ${formatted(limit)} redo line`;
  if (!worst) {
    const more = limits.grade === 'estimate' ? '' : ` ${capital(limits.grade)} test still to come.`;
    return {
      word: 'Good.',
      detail: `${limit === null ? 'No limit for estimates.' : `Not over ${line}.`}${more}`,
      tone: 'good',
      redo: false,
    };
  }
  const where =
    fibers.length > 1 ? `Fiber ${worst.splice.fiberA} over ${line}. ` : `Over ${line}. `;
  const tries = worst.splice.standing.tries.length + 1;
  if (worst.advice === 'needs the lead') {
    return {
      word: 'Needs the lead.',
      detail: `${where}${tries} of ${limits.maxTries} tries used. Keep it; the lead redoes or waives it.`,
      tone: 'bad',
      redo: false,
    };
  }
  if (worst.advice === 'last try')
    return {
      word: 'Last try.',
      detail: `${where}One try of ${limits.maxTries} is left.`,
      tone: 'bad',
      redo: true,
    };
  return {
    word: 'Redo.',
    detail: `${where}${limits.maxTries - tries} of ${limits.maxTries} tries are left.`,
    tone: 'bad',
    redo: true,
  };
}

function waitingWords(
  fiber: BenchSplice,
  mode: BenchMode,
  draft: BenchDraft,
  nm: number,
  limits: Limits,
): string {
  if (mode === 'measure') return `Type the ${kindWords(draft.kind)} figure at ${nm} nm.`;
  const tries = fiber.standing.tries.length;
  if (tries > 0)
    return `Try ${tries + 1} of ${limits.maxTries}. Sleeve on first, then type the estimate.`;
  return 'Sleeve on first. Splice, then type the splicer’s estimate.';
}

function sayReading(
  fiber: BenchSplice,
  lossMdb: number,
  draft: BenchDraft,
  nm: number,
  limits: Limits,
): Said {
  const tryId = fiber.standing.tries.at(-1)?.tryId ?? null;
  const reading: Reading = {
    type: 'reading',
    id: 'draft',
    spliceId: fiber.id,
    by: 'draft',
    at: '',
    tryId,
    ...readingKind(draft.kind),
    wavelengthNm: nm,
    lossMdb,
    supersedes: null,
    void: false,
    why: null,
  };
  const standing = standingOf([...fiber.evidence, reading]);
  const judgement = judgeSplice(standing, fiber.method, limits);
  const why = reasonsFor(standing, judgement, fiber.method, limits)[0] ?? '';
  const missing =
    judgement.missing.length > 0
      ? `Still missing: ${limits.grade} at ${judgement.missing.join(' and ')} nm.`
      : '';
  const word = {
    open: 'Open.',
    provisional: 'Provisional.',
    pass: 'Pass.',
    fail: 'Fail.',
    waived: 'Waived.',
  }[judgement.verdict];
  const tone =
    judgement.verdict === 'pass' ? 'good' : judgement.verdict === 'fail' ? 'bad' : 'plain';
  return {
    word,
    detail: [why, missing].filter(Boolean).join(' ') || 'Within the limit.',
    tone,
    redo: false,
  };
}

const kindWords = (kind: BenchDraft['kind']): string =>
  ({ AB: 'A to B', BA: 'B to A', 'two-way': 'two-way mean', insertion: 'insertion loss' })[kind];
const formatted = (mdb: number): string => (mdb / 1000).toFixed(mdb % 10 === 0 ? 2 : 3);
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
