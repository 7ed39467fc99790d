/** The fields of a joint of two single-mode fibers. */
export interface Joint {
  /** Mode field diameters of both fibers, um. */
  mfdA: number;
  mfdB: number;
  /** Lateral offset of the cores, um. */
  offset?: number;
  /** Angle between the axes, degrees. */
  tilt?: number;
  /** Vacuum wavelength, um; matters with a tilt only. */
  wavelength?: number;
  /** Refractive index between the ends. */
  index?: number;
}

/**
 * Loss of a joint of two Gaussian fields, dB.
 * Source: D. Marcuse, Loss analysis of single-mode fiber splices, Bell System Technical Journal 56(5),
 * 1977; from memory.
 */
export function jointLoss({
  mfdA,
  mfdB,
  offset = 0,
  tilt = 0,
  wavelength = 1.55,
  index = 1.4682,
}: Joint): number {
  const a = mfdA / 2;
  const b = mfdB / 2;
  const squares = a * a + b * b;
  const radians = (tilt * Math.PI) / 180;
  const mismatch = ((2 * a * b) / squares) ** 2;
  const shift = Math.exp((-2 * offset * offset) / squares);
  const lean = Math.exp(
    (-2 * (Math.PI * index * radians) ** 2 * (a * b) ** 2) / (squares * wavelength * wavelength),
  );
  return -10 * Math.log10(mismatch * shift * lean);
}

/**
 * What a one-way OTDR reading from fiber A into fiber B shows beyond the true loss, dB: the difference
 * of backscatter, taken as proportional to 1/MFD^2. From the other side the sign turns.
 */
export const oneWayExcess = (mfdA: number, mfdB: number): number => 10 * Math.log10(mfdB / mfdA);
