const graphemes = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

/**
 * The beginning of a text that is no longer than so many UTF-16 units, cut between what a reader takes for
 * letters: an emoji or a letter with its accents stays whole or goes.
 */
export function cutText(text: string, most: number): string {
  if (text.length <= most) return text;
  let end = 0;
  for (const { index, segment } of graphemes.segment(text.slice(0, most + 64))) {
    if (index + segment.length > most) break;
    end = index + segment.length;
  }
  return text.slice(0, end);
}
