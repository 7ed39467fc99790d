/** The order of names as people read them: `Pole 9` before `Pole 10`. */
export const compareNames = (a: string, b: string): number =>
  a.localeCompare(b, 'en', { numeric: true });
