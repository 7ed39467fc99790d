/** A count with its noun, such as `1 splice`, `12 splices`. */
export const plural = (count: number, noun: string): string =>
  `${count.toLocaleString('en')} ${noun}${count === 1 ? '' : 's'}`;
