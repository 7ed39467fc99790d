import fc from 'fast-check';
import { Pyramid } from './decimate.ts';

describe('least and most of each column', () => {
  it('no peak is lost and none is made, however it is zoomed', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -40_000, max: 0 }), { minLength: 1, maxLength: 3000 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0.01, max: 1, noNaN: true }),
        fc.integer({ min: 1, max: 300 }),
        (list, start, share, pixels) => {
          const levels = Float32Array.from(list);
          const from = start * levels.length;
          const to = from + share * levels.length;
          const view = new Pyramid(levels).view(from, to, pixels);
          const each = (to - from) / pixels;
          for (let pixel = 0; pixel < pixels; pixel++) {
            const first = Math.floor(from + pixel * each);
            const last = Math.ceil(from + (pixel + 1) * each) - 1;
            if (first >= levels.length) {
              expect(view[2 * pixel]).toBeNaN();
              continue;
            }
            const own = levels.slice(first, Math.max(first, last) + 1);
            // What belongs to a column is in it; it may take a little of its neighbors.
            expect(view[2 * pixel]).toBeLessThanOrEqual(Math.min(...own));
            expect(view[2 * pixel + 1]).toBeGreaterThanOrEqual(Math.max(...own));
            const margin = Math.ceil(each) + 8;
            const near = levels.slice(Math.max(0, first - margin), last + margin + 1);
            expect(view[2 * pixel]).toBeGreaterThanOrEqual(Math.min(...near));
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('a single high sample shows from far away', () => {
    const levels = new Float32Array(300_000).fill(-20);
    levels[123_456] = -3;
    const view = new Pyramid(levels).view(0, levels.length, 390);
    expect(Math.max(...view)).toBe(-3);
  });
});
