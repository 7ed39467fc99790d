import fc from 'fast-check';
import { cutText } from './cutText.ts';

describe('a text that is cut', () => {
  // Grapheme clusters: Unicode Standard Annex 29. The family is seven code points, e with an accent two.
  it.each([
    ['abcdef', 3, 'abc'],
    ['abc', 3, 'abc'],
    ['ab🧵', 3, 'ab'],
    ['ab🧵', 4, 'ab🧵'],
    ['a👨‍👩‍👧', 5, 'a'],
    ['cafe\u0301', 4, 'caf'],
    ['🧵🧵', 1, ''],
  ])('%s to %i', (text, most, cut) => expect(cutText(text, most)).toBe(cut));

  it('is its beginning, short enough, and never half a pair', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.nat(40), (text, most) => {
        const cut = cutText(text, most);
        expect(text.startsWith(cut) && cut.length <= most).toBe(true);
        expect(cut).not.toMatch(/[\ud800-\udbff]$/);
      }),
    ));
});
