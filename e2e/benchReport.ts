/** The exit code where a figure is over its limit; 1 is that of what fails. */
const MISSED = 3;

/** A figure of a bench and the most it may be. */
export interface Figure {
  name: string;
  value: number;
  limit: number;
  unit: string;
}

/**
 * Prints the figures as ratios to their limits, all or those named on the command line, and ends the process.
 * It ends with 3 where a figure is over its limit.
 */
export function reportFigures(figures: readonly Figure[], digits: number): never {
  const wanted = process.argv.slice(2);
  let missed = false;
  for (const { name, value, limit, unit } of figures) {
    if (wanted.length > 0 && !wanted.includes(name)) continue;
    const ok = value <= limit;
    missed ||= !ok;
    console.log(
      `${name}  ${(limit === 0 ? value : value / limit).toFixed(2)}  limit ${limit === 0 ? '0.00' : '1.00'}  ${ok ? 'ok' : 'MISS'}  (${value.toFixed(digits)} of ${limit} ${unit})`,
    );
  }
  process.exit(missed ? MISSED : 0);
}
