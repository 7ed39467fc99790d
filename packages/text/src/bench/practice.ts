import type { Action, ColourQuestion, Fault, FiberAddress } from '@cordel/core';
import { placeText } from '../fiber/index.ts';
import { phrases } from '../phrases.ts';

/** Why an action is right for a fault: said where it was missed. */
export const faultText = phrases({
  none: 'Nothing was wrong: colors, ends, program and estimate all fit.',
  chip: 'A chipped end makes a bad splice: it is cleaved again before it costs an arc and a sleeve.',
  dirt: 'Dirt was seen on the picture: wiped and loaded again it is gone; spliced, it stays.',
  offset:
    'The cores did not meet: the estimate says so. Another attempt costs a sleeve, a bad splice a visit.',
  swapped:
    'The color in the holder was not that of the plan. A swap reads well on every screen, and two circuits are wrong.',
  flipped: 'Fiber 1 met fiber 12. Every splice reads well, and all twelve circuits are wrong.',
  'worn electrodes':
    'One high estimate after another with good cleaves: the arc is off. Redoing alone does not correct it.',
  'wrong program': 'The program was made for other fiber. It splices, and not as it should.',
  'no sleeve':
    'No sleeve was on. Found after the arc it breaks a good splice; it comes first, always.',
} satisfies Record<Fault, string>);

/** What a learner can do. */
export const actionText = phrases({
  keep: 'Keep it',
  redo: 'Redo it',
  'cleave again': 'Cleave again',
  'clean and load again': 'Clean, load again',
  'check colours and load again': 'Wrong color: load again',
  'turn the ribbon': 'Turn the ribbon',
  'arc check': 'Check the arc',
  'set the program': 'Set the program',
  'sleeve on': 'Put the sleeve on',
} satisfies Record<Action, string>);

const why = phrases({
  counted:
    '{full, plural, one {# full {unit}} other {# full {unit}s}} of {size} are {before}; {fiber} less {before} is {rest}: {place}.',
});

/** Why an answer about colors is right, worked out. */
export function colourAnswerText(question: ColourQuestion, address: FiberAddress): string {
  const { fiber, fullUnits, unitSize, unit } = question;
  const before = fullUnits * unitSize;
  return why('counted', {
    full: fullUnits,
    unit,
    size: unitSize,
    before,
    fiber,
    rest: fiber - before,
    place: placeText(address),
  });
}
