/** Pixels of a picture, a word each: red in the lowest byte, opacity in the highest, as ImageData lies in memory. */
export interface Pixels {
  words: Uint32Array;
  width: number;
  height: number;
}

/** A color such as `#1a2b3c` as a word of full opacity. */
export function wordOf(ink: string): number {
  const [red, green, blue] = [1, 3, 5].map((at) => parseInt(ink.slice(at, at + 2), 16));
  return (0xff000000 | (blue! << 16) | (green! << 8) | red!) >>> 0;
}

/**
 * Fills an upright bar, in pixels. Across it is set to whole pixels, one at least; at its top and bottom a
 * pixel that is covered in part takes that part of the ink. Thousands of these are many times faster than as
 * many rectangles of a canvas.
 */
export function fillBar(
  { words, width, height }: Pixels,
  [left, right]: readonly [number, number],
  [top, bottom]: readonly [number, number],
  word: number,
): void {
  const from = Math.max(0, Math.round(left));
  const to = Math.min(width, Math.max(Math.round(right), Math.round(left) + 1));
  const [high, low] = [Math.max(0, top), Math.min(height, bottom)];
  if (from >= to || high >= low) return;
  const [first, last] = [Math.floor(high), Math.ceil(low) - 1];
  for (let row = first; row <= last; row++) {
    const part = Math.min(low, row + 1) - Math.max(high, row);
    const [start, stop] = [row * width + from, row * width + to];
    // A loop, for bars are a few pixels wide: a call of `fill` costs more than they do.
    if (part >= 1) for (let at = start; at < stop; at++) words[at] = word;
    else for (let at = start; at < stop; at++) words[at] = over(words[at]!, word, part);
  }
}

/** A word of full opacity laid over another with so much of it. */
function over(under: number, word: number, part: number): number {
  const before = (under >>> 24) / 255;
  const after = part + before * (1 - part);
  const share = part / after;
  return (
    ((Math.round(255 * after) << 24) |
      mixed(under, word, 16, share) |
      mixed(under, word, 8, share) |
      mixed(under, word, 0, share)) >>>
    0
  );
}

function mixed(under: number, word: number, shift: number, share: number): number {
  const old = (under >>> shift) & 255;
  return Math.round(old + (((word >>> shift) & 255) - old) * share) << shift;
}
