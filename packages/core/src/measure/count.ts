/** A count with its noun, such as `1 splice`, `12 splices`, `2 entries`. */
export const plural = (count: number, noun: string, many = `${noun}s`): string =>
  `${count < 1000 ? count : count.toLocaleString('en')} ${count === 1 ? noun : many}`;
