import {
  type Evidence,
  type Limits,
  type LossProblem,
  type Parsed,
  adviseEstimate,
  formatLoss,
  isFused,
  judgeSplice,
  newAttempt,
  newInspection,
  newReading,
  reasonsFor,
  spliceStage,
  spliceStateOf,
  triesMessage,
  tryCount,
} from '@cordel/core';
import {
  type BenchMode,
  type BenchSplice,
  type BenchState,
  isSeen,
  readingKind,
  type MeasuredKind,
} from '@cordel/core/session';
import { spliceReasonText, triesText } from '@cordel/text/loss';
import { spliceStateText } from '@cordel/text/loss/states';
import { lossProblemText } from '@cordel/text/measure';
import { common } from '@cordel/text/pages/common';
import { feedback as t } from '@cordel/text/pages/bench/feedback';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';

/** What the typed figure means, as text. */
export interface Feedback {
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
  state: BenchState;
  wavelengthNm: number;
  limits: Limits;
}

/** Says what is waited for, what is mistyped, or what the figure means. */
export function feedbackOf(now: UnderThumb): Feedback {
  const loss = now.read(now.fiber);
  const typed = now.state.typed[now.fiber.id] ?? '';
  if (now.mode !== 'measure' && !isFused(now.fiber.end) && (loss.ok || typed === ''))
    return endFeedback(now);
  if (loss.ok)
    return now.mode === 'measure' ? readingFeedback(now, loss.value) : estimatesFeedback(now);
  return typed === '' || typed === '-'
    ? { word: '', detail: waitingWords(now), tone: 'plain', redo: false }
    : { word: common('check'), detail: lossProblemText(loss.error), tone: 'bad', redo: false };
}

function waitingWords({ fiber, mode, state, wavelengthNm, limits }: UnderThumb): string {
  if (mode === 'measure') return t('typeTheFigureAtNm', { kinds: KINDS[state.kind], wavelengthNm });
  const tries = fiber.spliceState.tries.length;
  if (tries > 0)
    return t('sleeveOnFirstThenTypeThe', { nextTry: nextTryWords(tries, limits.maxTries) });
  return t('sleeveOnFirstSpliceThenType');
}

/** Which try comes next; past those allowed the lead decides, in the Ledger's own words. */
export const nextTryWords = (used: number, most: number): string =>
  tryCount(used, most).usedUp
    ? triesText(triesMessage(used, most))
    : t('attemptUsedOfMost', { used: used + 1, most });

/** One fiber over the line decides for its whole sleeve: all are broken and made again together. */
function estimatesFeedback({ fiber, fibers, read, limits }: UnderThumb): Feedback {
  const limit = limits.splice.estimate[fiber.method];
  const line = limit === null ? '' : t('theDbRedoLine', { limit: formatLoss(limit) });
  for (const splice of fibers) {
    const loss = read(splice);
    if (!loss.ok) continue;
    const tries = splice.spliceState.tries.length + 1;
    const advice = adviseEstimate(loss.value, tries, splice, limits);
    if (advice === 'good') continue;
    const where =
      fibers.length > 1
        ? t('fiberAOverLine', { fiberA: splice.fiberA, line })
        : t('overLine', { line });
    const most = limits.maxTries;
    if (advice === 'needs the lead')
      return {
        word: t('needsTheLead'),
        detail: t('keepItTheLeadAcceptsIt', { where, tries: triesText(triesMessage(tries, most)) }),
        tone: 'bad',
        redo: false,
      };
    if (advice === 'last try')
      return {
        word: t('lastAttempt'),
        detail: t('oneAttemptOfIsLeft', { where, most }),
        tone: 'bad',
        redo: true,
      };
    return {
      word: t('redo'),
      detail: t('ofAttemptsAreLeft', { where, left: most - tries, most }),
      tone: 'bad',
      redo: true,
    };
  }
  const more =
    limits.grade === 'estimate' ? '' : t('testStillToCome', { capital: capital(limits.grade) });
  return {
    word: shared('good'),
    detail: `${limit === null ? t('noLimitForEstimates') : t('notOverLine', { line })}${more}`,
    tone: 'good',
    redo: false,
  };
}

/** Who draws up entries that nobody records. */
const DRAFT = { id: 'draft', by: 'draft', at: '' };

/** Judges an end that nobody estimates, as it would stand with what was seen and typed of it. */
function endFeedback(now: UnderThumb): Feedback {
  const { fiber, state, wavelengthNm } = now;
  const loss = now.read(fiber);
  if (!loss.ok && !isSeen(state))
    return { word: '', detail: t('sayWhatYouSawOfTheEnd'), tone: 'plain', redo: false };
  const made = newAttempt(DRAFT, fiber.id, null);
  const seen = isSeen(state)
    ? [newInspection({ ...DRAFT, id: 'seen' }, fiber.id, made.tryId, state.end)]
    : [];
  const figure = { ...readingKind('insertion'), wavelengthNm };
  const read = loss.ok
    ? [
        newReading({ ...DRAFT, id: 'read' }, fiber.id, made.tryId, {
          ...figure,
          lossMdb: loss.value,
        }),
      ]
    : [];
  const feedback = judged(now, [...fiber.evidence, made, ...seen, ...read]);
  return { ...feedback, redo: feedback.tone === 'bad' };
}

/** Judges the splice as it would stand with the reading kept. */
function readingFeedback(now: UnderThumb, lossMdb: number): Feedback {
  const { fiber, state, wavelengthNm } = now;
  const tryId = fiber.spliceState.tries.at(-1)?.tryId ?? null;
  const figure = { ...readingKind(state.kind), wavelengthNm, lossMdb };
  return judged(now, [...fiber.evidence, newReading(DRAFT, fiber.id, tryId, figure)]);
}

function judged({ fiber, limits }: UnderThumb, evidence: Evidence[]): Feedback {
  const spliceState = spliceStateOf(evidence);
  const judgement = judgeSplice(spliceState, fiber, limits);
  const reasons = reasonsFor(spliceState, judgement, fiber, limits);
  const { verdict, missing } = judgement;
  const waiting =
    missing.length > 0
      ? t('stillMissingAtNm', { grade: limits.grade, missing: missing.join(' and ') })
      : '';
  return {
    word: `${capital(spliceStateText(spliceStage(judgement)))}.`,
    detail:
      [reasons[0] && spliceReasonText(reasons[0]), waiting].filter(Boolean).join(' ') ||
      t('withinTheLimit'),
    tone: verdict === 'pass' ? 'good' : verdict === 'fail' ? 'bad' : 'plain',
    redo: false,
  };
}

const KINDS: Record<MeasuredKind, string> = {
  AB: shared('aToB'),
  BA: shared('bToA'),
  'two-way': t('twoWayAverage'),
  insertion: t('insertionLoss'),
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
