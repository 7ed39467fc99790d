/** Parameters of a linear model by weighted least squares. */
export interface Solution {
  values: Float64Array;
  /** Standard deviation of each. */
  sigmas: Float64Array;
  /** Weighted sum of squares left over. */
  left: number;
}

/** One line of a linear model: coefficients by parameter, what was observed and its deviation. */
export interface Observation {
  of: ReadonlyMap<number, number>;
  seen: number;
  sigma: number;
}

/**
 * Solves a small linear model by its normal equations, with pivots.
 * @param count how many parameters
 * @returns null where the observations do not settle every parameter
 */
export function solve(count: number, observations: readonly Observation[]): Solution | null {
  // The matrix with the right side and a unit matrix beside it: solved and inverted at once.
  const width = 2 * count + 1;
  const rows = Array.from({ length: count }, (_, row) => {
    const line = new Float64Array(width);
    line[count + 1 + row] = 1;
    return line;
  });
  for (const { of, seen, sigma } of observations) {
    const weight = 1 / (sigma * sigma);
    for (const [row, a] of of) {
      for (const [column, b] of of) rows[row]![column]! += weight * a * b;
      rows[row]![count]! += weight * a * seen;
    }
  }
  for (let column = 0; column < count; column++) {
    let pivot = column;
    for (let row = column + 1; row < count; row++)
      if (Math.abs(rows[row]![column]!) > Math.abs(rows[pivot]![column]!)) pivot = row;
    if (Math.abs(rows[pivot]![column]!) < 1e-12) return null;
    [rows[column], rows[pivot]] = [rows[pivot]!, rows[column]!];
    const own = rows[column]!;
    const scale = own[column]!;
    for (let at = 0; at < width; at++) own[at]! /= scale;
    for (const row of rows) {
      const factor = row === own ? 0 : row[column]!;
      if (factor !== 0) for (let at = 0; at < width; at++) row[at]! -= factor * own[at]!;
    }
  }
  const values = Float64Array.from(rows, (row) => row[count]!);
  let left = 0;
  for (const { of, seen, sigma } of observations) {
    let model = 0;
    for (const [parameter, a] of of) model += a * values[parameter]!;
    left += ((seen - model) / sigma) ** 2;
  }
  return {
    values,
    sigmas: Float64Array.from(rows, (row, index) =>
      Math.sqrt(Math.max(0, row[count + 1 + index]!)),
    ),
    left,
  };
}
