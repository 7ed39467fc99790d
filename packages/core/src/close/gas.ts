/** 0 degrees C in kelvin. Source: SI brochure, 9th edition. */
const ZERO_C = 273.15;

export const kelvin = (celsius: number): number => celsius + ZERO_C;

/**
 * What a gauge shows on a tight closure at another temperature: (Pg + Pa) T2 / T1 - Pa.
 * Source: ideal gas law at a constant volume.
 * @param gauge over the barometric pressure, at `from`; `air` that pressure; both in one unit, which is the answer's
 * @param from degrees C
 * @param to degrees C
 */
export const gaugeAt = (gauge: number, air: number, from: number, to: number): number =>
  ((gauge + air) * kelvin(to)) / kelvin(from) - air;
