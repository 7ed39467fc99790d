import {
  type Limits,
  type LossProblem,
  type Parsed,
  type Reading,
  adviseEstimate,
  formatLoss,
  judgeSplice,
  reasonsFor,
  spliceState,
  standingOf,
  triesMessage,
  tryCount,
} from '@cordel/core';
import { spliceReasonText, triesText } from '@cordel/text/loss';
import { spliceStateText } from '@cordel/text/loss/states';
import { lossProblemText } from '@cordel/text/measure';
import { type BenchSplice, readingKind } from './benchSplices';
import type { BenchDraft, BenchMode } from './draft';

/** What the typed figure means, in words. */
export interface Said {
  word: string;
  detail: string;
  tone: 'good' | 'bad' | 'plain';
  /** Whether a redo is the next step. */
  redo: boolean;
}

/** What is under the thumb: the fiber typed for, all fibers of its sleeve, and how typing reads. */
export interface UnderThumb {
  fiber: BenchSplice;
  fibers: readonly BenchSplice[];
  read(splice: BenchSplice): Parsed<number, LossProblem>;
  mode: BenchMode;
  draft: BenchDraft;
  wavelengthNm: number;
  limits: Limits;
}

/** Says what is waited for, what is mistyped, or what the figure means. */
export function say(now: UnderThumb): Said {
  const loss = now.read(now.fiber);
  if (loss.ok) return now.mode === 'measure' ? sayReading(now, loss.value) : sayEstimates(now);
  const typed = now.draft.typed[now.fiber.id] ?? '';
  return typed === '' || typed === '-'
    ? { word: '', detail: waitingWords(now), tone: 'plain', redo: false }
    : { word: 'Check.', detail: lossProblemText(loss.error), tone: 'bad', redo: false };
}

function waitingWords({ fiber, mode, draft, wavelengthNm, limits }: UnderThumb): string {
  if (mode === 'measure') return `Type the ${KINDS[draft.kind]} figure at ${wavelengthNm} nm.`;
  const tries = fiber.standing.tries.length;
  if (tries > 0)
    return `${nextTryWords(tries, limits.maxTries)} Sleeve on first, then type the estimate.`;
  return 'Sleeve on first. Splice, then type the splicer’s estimate.';
}

/** Which try comes next; past those allowed the lead decides, in the Ledger's own words. */
export const nextTryWords = (used: number, most: number): string =>
  tryCount(used, most).usedUp
    ? triesText(triesMessage(used, most))
    : `Attempt ${used + 1} of ${most}.`;

/** One fiber over the line decides for its whole sleeve: all are broken and made again together. */
function sayEstimates({ fiber, fibers, read, limits }: UnderThumb): Said {
  const limit = limits.splice.estimate[fiber.method];
  const line = limit === null ? '' : `the ${formatLoss(limit)} dB redo line`;
  for (const splice of fibers) {
    const loss = read(splice);
    if (!loss.ok) continue;
    const tries = splice.standing.tries.length + 1;
    const advice = adviseEstimate(loss.value, tries, splice.method, limits);
    if (advice === 'good') continue;
    const where = fibers.length > 1 ? `Fiber ${splice.fiberA} over ${line}.` : `Over ${line}.`;
    const most = limits.maxTries;
    if (advice === 'needs the lead')
      return {
        word: 'Needs the lead.',
        detail: `${where} ${triesText(triesMessage(tries, most))} Keep it: the lead accepts it or sends it to redo.`,
        tone: 'bad',
        redo: false,
      };
    if (advice === 'last try')
      return {
        word: 'Last attempt.',
        detail: `${where} One attempt of ${most} is left.`,
        tone: 'bad',
        redo: true,
      };
    return {
      word: 'Redo.',
      detail: `${where} ${most - tries} of ${most} attempts are left.`,
      tone: 'bad',
      redo: true,
    };
  }
  const more = limits.grade === 'estimate' ? '' : ` ${capital(limits.grade)} test still to come.`;
  return {
    word: 'Good.',
    detail: `${limit === null ? 'No limit for estimates.' : `Not over ${line}.`}${more}`,
    tone: 'good',
    redo: false,
  };
}

/** Judges the splice as it would stand with the reading kept. */
function sayReading({ fiber, draft, wavelengthNm, limits }: UnderThumb, lossMdb: number): Said {
  const reading: Reading = {
    type: 'reading',
    id: 'draft',
    spliceId: fiber.id,
    by: 'draft',
    at: '',
    tryId: fiber.standing.tries.at(-1)?.tryId ?? null,
    ...readingKind(draft.kind),
    wavelengthNm,
    lossMdb,
    traceId: null,
    origin: 'typed',
    supersedes: null,
    void: false,
    why: null,
  };
  const standing = standingOf([...fiber.evidence, reading]);
  const judgement = judgeSplice(standing, fiber.method, limits);
  const reasons = reasonsFor(standing, judgement, fiber.method, limits);
  const { verdict, missing } = judgement;
  const waiting =
    missing.length > 0 ? `Still missing: ${limits.grade} at ${missing.join(' and ')} nm.` : '';
  return {
    word: `${capital(spliceStateText(spliceState(judgement)))}.`,
    detail:
      [reasons[0] && spliceReasonText(reasons[0]), waiting].filter(Boolean).join(' ') ||
      'Within the limit.',
    tone: verdict === 'pass' ? 'good' : verdict === 'fail' ? 'bad' : 'plain',
    redo: false,
  };
}

const KINDS: Record<BenchDraft['kind'], string> = {
  AB: 'A to B',
  BA: 'B to A',
  'two-way': 'two-way average',
  insertion: 'insertion loss',
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
