import { REGIMES, measureRegime } from '../src/regimes.testing.ts';
import type { TraceFigure } from './traces.ts';

/** Traces a regime. */
/** Traces a regime by default; two hundred with `npm run bench -- --long`. */
const TRACES = process.env['CORDEL_LONG'] ? 200 : 40;

/** How well joints are found and measured in each regime, with parameters drawn anew from a seed. */
export function regimeFigures(seed: number): TraceFigure[] {
  return REGIMES.map((regime, index) => {
    const figures = measureRegime(regime, seed + index * TRACES, TRACES);
    const { due, missed, unavoidable, falsePer100, ratio, limit, oneSigma, twoSigma } = figures;
    const { endWrong, endUnseen, endHidden } = figures;
    const share = (part: number) => `${(100 * part).toFixed(1)} %`;
    return {
      name: `traces-${regime.name}`,
      ratio,
      limit,
      ok:
        missed <= unavoidable + 2 * Math.sqrt(unavoidable) &&
        falsePer100 <= 1 &&
        oneSigma >= 0.63 &&
        oneSigma <= 0.73 &&
        twoSigma >= 0.93 &&
        twoSigma <= 0.975 &&
        endWrong === 0,
      note: `error of losses against the Cramer-Rao bound of this noise, seed ${seed}; ${missed} of ${due} joints missed where noise hides ${unavoidable.toFixed(1)} from anybody, ${falsePer100.toFixed(1)} false in 100 traces; one sigma covers ${share(oneSigma)}, two ${share(twoSigma)}; end wrong in ${endWrong}, not seen in ${endUnseen}, hidden by noise in ${endHidden} of ${TRACES}`,
    };
  });
}
