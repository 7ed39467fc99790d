import { type Grade, type Limits, gradeRank } from '../record/limits.ts';
import { type Splice, isFused } from '../record/splice.ts';
import type { Figure, SpliceState } from './spliceState.ts';

/**
 * How a splice is judged; `spliceState` says it in the words of the work.
 * - `open`: nothing is spliced or measured yet, or what was made is broken.
 * - `skipped`, `dead`, `accepted`: by a person, who says why.
 * - `provisional`: there are figures, but not of the grade and wavelengths that accept a splice.
 * - `pass`, `fail`: judged by figures of the grade needed.
 */
export const VERDICTS = [
  'open',
  'skipped',
  'provisional',
  'pass',
  'fail',
  'accepted',
  'dead',
] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface Judgement {
  verdict: Verdict;
  /** True where the joint should be made again. */
  redo: boolean;
  /** The figure that speaks for the splice: the strongest grade, its worst wavelength. */
  figure: Figure | null;
  /** Wavelengths in nm at which a figure of the grade needed is missing. */
  missing: number[];
  tries: number;
}

/** How a joint is made, which decides what it is judged by. */
export type JointKind = Pick<Splice, 'method' | 'end'>;

/**
 * The limit in thousandths of a dB for a joint known by `grade`, or null where there is none. What a meter reads of an
 * end has the limit of its connector; the estimate of a fused one is a splice's.
 */
export function spliceLimit(
  limits: Limits,
  grade: Grade,
  { method, end }: JointKind,
): number | null {
  if (end === null || (grade === 'estimate' && isFused(end))) return limits.splice[grade][method];
  return grade === 'estimate' ? null : limits.ends[isFused(end) ? 'fused' : 'mechanical'];
}

/** Whether a figure is over its limit, compared exactly. */
export function isOver(figure: Figure, joint: JointKind, limits: Limits): boolean {
  const limit = spliceLimit(limits, figure.grade, joint);
  return limit !== null && figure.lossHalfMdb > 2 * limit;
}

/** Judges one splice, or one end, against the project's limits. */
export function judgeSplice(spliceState: SpliceState, joint: JointKind, limits: Limits): Judgement {
  return joint.end === null
    ? judgeByFigures(spliceState, joint, limits)
    : judgeEnd(spliceState, joint, limits);
}

/** What an end still needs before it is proven. */
export interface EndNeeds {
  /** Light through it, or its loss by a meter. */
  light: boolean;
  /** Its end face under a microscope. A mechanical connector's may be left out. */
  face: boolean;
}

/** What an end still needs before it is proven, as its last try stands. */
export const endNeeds = ({ figures, inspection }: SpliceState, { end }: JointKind): EndNeeds => ({
  light: inspection.light !== 'seen' && !figures.some(({ grade }) => grade === 'insertion'),
  face: end !== 'mechanical' && inspection.face === null,
});

/**
 * Judges an end: nobody estimates a mechanical one, and no end needs a splice's grade. Light through it or a meter's
 * loss within the connector's limit tells, and an end face that passes.
 */
function judgeEnd(spliceState: SpliceState, joint: JointKind, limits: Limits): Judgement {
  const ruled = judgeByRuling(spliceState);
  const { figures, inspection } = spliceState;
  const tries = spliceState.tries.length;
  const figure = figures.length > 0 ? worstOfStrongest(figures) : null;
  const stands = { figure, missing: [], tries };
  if (ruled) return ruled.verdict === 'dead' || ruled.redo ? ruled : { ...ruled, ...stands };
  const over = worstOf(
    figures.filter((one) => one.grade === 'insertion' && isOver(one, joint, limits)),
  );
  if (over || inspection.face === 'fail' || inspection.light === 'none')
    return { verdict: 'fail', redo: true, ...stands, figure: over ?? figure };
  if (tries === 0 && figures.length === 0 && inspection.light === null)
    return { verdict: 'open', redo: false, ...stands };
  const needs = endNeeds(spliceState, joint);
  if (!needs.light && !needs.face) return { verdict: 'pass', redo: false, ...stands };
  const redo = figure?.grade === 'estimate' && isOver(figure, joint, limits);
  return { verdict: 'provisional', redo, ...stands };
}

/** What a person's word makes of a joint; null where none is in force. */
function judgeByRuling({ ruling, tries }: SpliceState): Judgement | null {
  const nothing = { figure: null, missing: [], tries: tries.length };
  switch (ruling?.kind) {
    case 'dead':
      return { verdict: 'dead', redo: false, ...nothing };
    case 'skip':
      return { verdict: 'skipped', redo: false, ...nothing };
    case 'waive':
      return { verdict: 'accepted', redo: false, ...nothing };
    // Its joint is broken: what was read of it says nothing of what will lie there.
    case 'redo':
      return { verdict: 'open', redo: true, ...nothing };
    default:
      return null;
  }
}

function judgeByFigures(spliceState: SpliceState, joint: JointKind, limits: Limits): Judgement {
  const figures = spliceState.figures;
  const tries = spliceState.tries.length;
  const deciding = limits.wavelengths.map((nm) => strongestAt(figures, nm, limits.grade));
  const missing = limits.wavelengths.filter((_, index) => !deciding[index]);
  const speaking = {
    figure: figures.length > 0 ? worstOfStrongest(figures) : null,
    missing,
    tries,
  };
  const ruled = judgeByRuling(spliceState);
  if (ruled?.verdict === 'dead') return ruled;
  if (ruled) return { ...ruled, ...speaking, figure: ruled.redo ? null : speaking.figure };
  // A measured figure over its limit fails the splice at any wavelength, asked for or not.
  const measured = figures.flatMap(({ wavelengthNm }) => wavelengthNm ?? []);
  const over = worstOf(
    [...limits.wavelengths, ...measured]
      .flatMap((nm) => strongestAt(figures, nm, limits.grade) ?? [])
      .filter((figure) => isOver(figure, joint, limits)),
  );
  if (over) return { verdict: 'fail', redo: true, ...speaking, figure: over };
  if (figures.length === 0 && tries === 0) return { verdict: 'open', redo: false, ...speaking };
  if (missing.length === 0) return { verdict: 'pass', redo: false, ...speaking };
  const weakest = figures.find((figure) => figure.grade === 'estimate');
  const onlyEstimated = figures.length === 1 && weakest !== undefined;
  return {
    verdict: 'provisional',
    redo: onlyEstimated && isOver(weakest, joint, limits),
    ...speaking,
  };
}

/** The strongest figure at a wavelength that is at least of `grade`; an estimate stands for every wavelength. */
function strongestAt(figures: readonly Figure[], nm: number, grade: Grade): Figure | undefined {
  let best: Figure | undefined;
  for (const figure of figures) {
    if (figure.wavelengthNm !== nm && figure.wavelengthNm !== null) continue;
    if (gradeRank(figure.grade) < gradeRank(grade)) continue;
    if (!best || gradeRank(figure.grade) > gradeRank(best.grade)) best = figure;
  }
  return best;
}

function worstOfStrongest(figures: readonly Figure[]): Figure {
  const grade = Math.max(...figures.map((figure) => gradeRank(figure.grade)));
  return worstOf(figures.filter((figure) => gradeRank(figure.grade) === grade))!;
}

/** The figure with the highest loss; the first of equals, null of none. */
const worstOf = (figures: readonly Figure[]): Figure | null =>
  figures.reduce<Figure | null>(
    (worst, figure) => (worst && worst.lossHalfMdb >= figure.lossHalfMdb ? worst : figure),
    null,
  );

/** What to do after an arc, said at once at the bench. */
export type Advice = 'good' | 'redo' | 'last try' | 'needs the lead';

/**
 * Advice on an estimate just read off the splicer.
 * @param estimate in thousandths of a dB
 * @param tries how many tries the joint has had, this one included
 */
export function adviseEstimate(
  estimate: number,
  tries: number,
  joint: JointKind,
  limits: Limits,
): Advice {
  const limit = spliceLimit(limits, 'estimate', joint);
  if (limit === null || estimate <= limit) return 'good';
  if (tries >= limits.maxTries) return 'needs the lead';
  return tries === limits.maxTries - 1 ? 'last try' : 'redo';
}
