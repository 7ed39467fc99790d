import { type Grade, type Limits, gradeRank } from '../record/limits.ts';
import type { Method } from '../record/splice.ts';
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

/** The limit in thousandths of a dB for a splice known by `grade`, or null where there is none. */
export const spliceLimit = (limits: Limits, grade: Grade, method: Method): number | null =>
  limits.splice[grade][method];

/** Whether a figure is over its limit, compared exactly. */
export function isOver(figure: Figure, method: Method, limits: Limits): boolean {
  const limit = spliceLimit(limits, figure.grade, method);
  return limit !== null && figure.lossHalfMdb > 2 * limit;
}

/** Judges one splice against the project's limits. */
export function judgeSplice(spliceState: SpliceState, method: Method, limits: Limits): Judgement {
  const figures = spliceState.figures;
  const tries = spliceState.tries.length;
  const deciding = limits.wavelengths.map((nm) => strongestAt(figures, nm, limits.grade));
  const missing = limits.wavelengths.filter((_, index) => !deciding[index]);
  const speaking = {
    figure: figures.length > 0 ? worstOfStrongest(figures) : null,
    missing,
    tries,
  };
  const ruled = spliceState.ruling?.kind;
  if (ruled === 'dead') return { verdict: 'dead', redo: false, figure: null, missing: [], tries };
  if (ruled === 'skip') return { verdict: 'skipped', redo: false, ...speaking };
  if (ruled === 'waive') return { verdict: 'accepted', redo: false, ...speaking };
  // Its joint is broken: what was read of it says nothing of what will lie there.
  if (ruled === 'redo') return { verdict: 'open', redo: true, ...speaking, figure: null };
  // A measured figure over its limit fails the splice at any wavelength, asked for or not.
  const measured = figures.flatMap(({ wavelengthNm }) => wavelengthNm ?? []);
  const over = [...limits.wavelengths, ...measured]
    .map((nm) => strongestAt(figures, nm, limits.grade))
    .find((figure) => figure !== undefined && isOver(figure, method, limits));
  if (over) return { verdict: 'fail', redo: true, ...speaking, figure: over };
  if (figures.length === 0 && tries === 0) return { verdict: 'open', redo: false, ...speaking };
  if (missing.length === 0) return { verdict: 'pass', redo: false, ...speaking };
  const weakest = figures.find((figure) => figure.grade === 'estimate');
  const onlyEstimated = figures.length === 1 && weakest !== undefined;
  return {
    verdict: 'provisional',
    redo: onlyEstimated && isOver(weakest, method, limits),
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
  return figures
    .filter((figure) => gradeRank(figure.grade) === grade)
    .reduce((worst, figure) => (figure.lossHalfMdb > worst.lossHalfMdb ? figure : worst));
}

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
  method: Method,
  limits: Limits,
): Advice {
  const limit = spliceLimit(limits, 'estimate', method);
  if (limit === null || estimate <= limit) return 'good';
  if (tries >= limits.maxTries) return 'needs the lead';
  return tries === limits.maxTries - 1 ? 'last try' : 'redo';
}
