import fc from 'fast-check';
import { BUILT_IN_SCHEMES } from '../fiber/schemes.ts';
import { askColour, placeWords, scoreDrill } from './drills.ts';

const scheme = BUILT_IN_SCHEMES[0]!;

// TIA-598-D (from memory): fiber 100 of 144 with 12 a tube lies in tube 9 yellow, 4 brown.
it('tells places by the standard order', () => {
  expect(placeWords(100, { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 }, scheme)).toBe(
    'tube 9 yellow, fiber 4 brown',
  );
  expect(placeWords(100, { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 }, scheme)).toBe(
    'tube 5 slate, group 1, fiber 4 brown',
  );
});

it('asks with choices that all differ, of which the right one is right, on every scheme', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0, max: 0.999, noNaN: true }), { minLength: 40, maxLength: 40 }),
      fc.constantFrom(...BUILT_IN_SCHEMES),
      (draws, own) => {
        let at = 0;
        const chance = { uniform: () => draws[at++ % 40]!, normal: () => 0 };
        const question = askColour(own, chance);
        expect(new Set(question.choices).size).toBe(question.choices.length);
        expect(question.choices.length).toBeGreaterThanOrEqual(3);
        const right = question.choices[question.right];
        expect(right).toBe(
          question.asks === 'number'
            ? String(question.fiber)
            : placeWords(question.fiber, question.makeUp, own),
        );
        expect(question.why).toContain(placeWords(question.fiber, question.makeUp, own));
      },
    ),
  );
});

it('scores a round, a missed flip double, with the reason for each miss', () => {
  const { score, right, misses } = scoreDrill([
    { fault: 'none', did: 'keep' },
    { fault: 'chip', did: 'cleave again' },
    { fault: 'flipped', did: 'keep' },
  ]);
  // By hand: 2 of 4 points, for the flip weighs two.
  expect({ score, right }).toEqual({ score: 50, right: 2 });
  expect(misses).toEqual([
    expect.objectContaining({ place: 3, why: expect.stringMatching(/Fiber 1 met fiber 12/) }),
  ]);
});
