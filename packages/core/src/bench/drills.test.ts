import fc from 'fast-check';
import { fiberCount } from '../record/cable.ts';
import { unitSize } from '../fiber/address.ts';
import { askColour, scoreDrill } from './drills.ts';

it('asks with choices that all differ, of which the right one is right', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0, max: 0.999, noNaN: true }), { minLength: 40, maxLength: 40 }),
      (draws) => {
        let at = 0;
        const chance = { uniform: () => draws[at++ % 40]!, normal: () => 0 };
        const question = askColour(chance);
        const { choices, fiber, makeUp, right, fullUnits } = question;
        expect(new Set(choices).size).toBe(choices.length);
        expect(choices.length).toBeGreaterThanOrEqual(3);
        expect(choices.every((choice) => choice >= 1 && choice <= fiberCount(makeUp))).toBe(true);
        expect(choices[right]).toBe(fiber);
        // The answer is worked out by full units before the fiber.
        const rest = fiber - fullUnits * question.unitSize;
        expect(rest).toBeGreaterThanOrEqual(1);
        expect(rest).toBeLessThanOrEqual(question.unitSize);
        expect(unitSize(makeUp) % question.unitSize).toBe(0);
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
  expect(misses).toEqual([{ place: 3, fault: 'flipped', did: 'keep' }]);
});
