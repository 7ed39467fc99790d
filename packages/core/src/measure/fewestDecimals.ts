/** No figure of a form needs more. */
const MOST_DECIMALS = 7;

/**
 * Prints a figure with the fewest decimals that still stand for the same record.
 * @param means whether a printed figure is read back as what is stored
 */
export function fewestDecimals(value: number, means: (figure: number) => boolean): string {
  for (let decimals = 0; decimals < MOST_DECIMALS; decimals++) {
    const text = value.toFixed(decimals);
    if (means(Number(text))) return text;
  }
  return value.toFixed(MOST_DECIMALS);
}
