import { distance } from 'fastest-levenshtein';

const bare = (name: string): string => name.toLowerCase().replace(/[\s_-]+/g, '');

/**
 * The known name that somebody may have meant: the same but for case and blanks, or a slip of a letter or two.
 * @returns null where none is near
 */
export function nearestName(typed: string, names: readonly string[]): string | null {
  const wanted = bare(typed);
  const ranked = names
    .map((name) => ({ name, off: distance(bare(name), wanted) }))
    .sort((a, b) => a.off - b.off);
  const [best] = ranked;
  // A slip in three letters is another name; names of one letter have no slips.
  return best && best.off <= Math.min(2, Math.floor(wanted.length / 3)) ? best.name : null;
}
