import { type Pixels, fillBar, wordOf } from './pixels';

const blank = (width = 8, height = 8): Pixels => ({
  words: new Uint32Array(width * height),
  width,
  height,
});
/** Opacity of all pixels together, in pixels. */
const area = ({ words }: Pixels) => words.reduce((sum, word) => sum + (word >>> 24) / 255, 0);
const INK = wordOf('#1d2c3b');

describe('a bar of pixels', () => {
  it('lies in memory as a browser’s picture does', () => {
    const { words } = blank(1, 1);
    words[0] = INK;
    expect([...new Uint8Array(words.buffer)]).toEqual([0x1d, 0x2c, 0x3b, 255]);
  });

  it.each([
    [[2, 4], [1, 5], 8],
    [[2, 4], [1.25, 5.5], 8.5],
    [[2, 4], [3.25, 3.5], 0.5],
    [[2.2, 2.4], [0, 8], 8],
  ] as const)('covers what it is asked to: %j by %j is %d', (across, along, covered) => {
    const pixels = blank();
    fillBar(pixels, across, along, INK);
    expect(area(pixels)).toBeCloseTo(covered, 1);
  });

  it('is cut off at the picture’s edges', () => {
    const pixels = blank();
    fillBar(pixels, [-5, 100], [-5, 100], INK);
    expect(area(pixels)).toBe(64);
    fillBar(pixels, [9, 12], [1, 2], INK);
    fillBar(pixels, [1, 2], [9, 12], INK);
    expect(area(pixels)).toBe(64);
  });

  it('mixes where it covers half of what is there already', () => {
    const pixels = blank(1, 1);
    fillBar(pixels, [0, 1], [0, 1], wordOf('#000000'));
    fillBar(pixels, [0, 1], [0, 0.5], wordOf('#ffffff'));
    expect([...new Uint8Array(pixels.words.buffer)]).toEqual([128, 128, 128, 255]);
  });

  it('has its own color where it lies on nothing, however little it covers', () => {
    const pixels = blank(1, 1);
    fillBar(pixels, [0, 1], [0.75, 1], INK);
    expect([...new Uint8Array(pixels.words.buffer)]).toEqual([0x1d, 0x2c, 0x3b, 64]);
  });
});
