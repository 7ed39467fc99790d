import { median } from 'simple-statistics';
import type { AlignedTraces, ProofProblem } from '../align/alignedTraces.ts';
import type { TraceFigures } from '../measure/measureTrace.ts';

/** Fiber as the project knows it at a wavelength, dB a kilometer. */
export interface FiberAttenuation {
  wavelengthNm: number;
  usualDbPerKm: number;
}

/**
 * Fiber that loses this much more or less than usual was shot at another wavelength: no fiber of one kind spreads so far.
 * And the other wavelength fits it so well. dB a kilometer; common practice, no source.
 */
const TOO_FAR = 0.06;
const FITS = 0.03;

/**
 * Finds traces whose fiber fades as it does at another wavelength than they are named for: 0.34 dB/km is 1310 nm,
 * whatever a name or a header says.
 */
export function findOtherWavelengths(
  { traces }: Pick<AlignedTraces, 'traces'>,
  figures: ReadonlyMap<string, TraceFigures>,
  attenuations: readonly FiberAttenuation[],
): ProofProblem[] {
  return traces.flatMap(({ id, name, circuit, wavelengthNm }): ProofProblem[] => {
    const usual = attenuations.find((one) => one.wavelengthNm === wavelengthNm);
    const known = (figures.get(id)?.attenuationDbPerKm ?? []).filter((one) => one !== null);
    if (!usual || known.length === 0) return [];
    const measured = median(known);
    if (Math.abs(measured - usual.usualDbPerKm) <= TOO_FAR) return [];
    const off = ({ usualDbPerKm }: FiberAttenuation) => Math.abs(measured - usualDbPerKm);
    const likely = [...attenuations].sort((a, b) => off(a) - off(b))[0]!;
    if (likely.wavelengthNm === wavelengthNm || off(likely) > FITS) return [];
    return [
      {
        kind: 'other wavelength',
        circuit,
        traces: [id],
        message: {
          code: 'otherWavelength',
          file: name,
          measured: { lossDb: measured, decimals: 2 },
          usual: { lossDb: usual.usualDbPerKm, decimals: 2 },
          wavelengthNm,
          likelyNm: likely.wavelengthNm,
        },
      },
    ];
  });
}
