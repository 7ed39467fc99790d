import type { MakeUp } from '../record/cable.ts';
import { fiberCount } from '../record/cable.ts';
import type { ColourScheme } from '../record/scheme.ts';
import { addressOf } from '../fiber/address.ts';
import type { Chance } from './shift/runs.ts';

/** A question about colours: a fiber by its number, to be told by its place, or the other way. */
export interface ColourQuestion {
  makeUp: MakeUp;
  cable: string;
  fiber: number;
  asks: 'place' | 'number';
  /** Choices, of which one is right. */
  choices: string[];
  right: number;
  /** Why it is right, worked out. */
  why: string;
}

const CABLES: readonly { cable: string; makeUp: MakeUp }[] = [
  {
    cable: '144 loose tube, 12 a tube',
    makeUp: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
  },
  {
    cable: '288 loose tube, 24 a tube',
    makeUp: { kind: 'loose-tube', tubes: 12, fibersPerTube: 24 },
  },
  {
    cable: '144 in tubes of two groups',
    makeUp: { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 },
  },
  { cable: '288 ribbon', makeUp: { kind: 'ribbon', ribbons: 24 } },
];

/** A question of a drill on a scheme, with choices that differ by the slips that are usually made. */
export function askColour(scheme: ColourScheme, chance: Chance): ColourQuestion {
  const pick = (count: number) => Math.floor(chance.uniform() * count);
  const { cable, makeUp } = CABLES[pick(CABLES.length)]!;
  const most = fiberCount(makeUp);
  const fiber = 1 + pick(most);
  const asks = chance.uniform() < 0.5 ? 'place' : 'number';
  const size = makeUp.kind === 'loose-tube' ? makeUp.fibersPerTube : 12;
  // One off, a unit off, a unit and one off, the mirror in its unit: how people miscount.
  const slips = [
    fiber + 1,
    fiber - 1,
    fiber + size,
    fiber - size,
    Math.floor((fiber - 1) / size) * size + size - ((fiber - 1) % size),
    fiber + size + 1,
    fiber - size - 1,
  ].filter((other) => other >= 1 && other <= most && other !== fiber);
  const others = [...new Set(slips)];
  shuffle(others, chance);
  const list = [fiber, ...others.slice(0, 3)];
  shuffle(list, chance);
  const words = (number: number) =>
    asks === 'number' ? String(number) : placeWords(number, makeUp, scheme);
  return {
    makeUp,
    cable,
    fiber,
    asks,
    choices: list.map(words),
    right: list.indexOf(fiber),
    why: whyOf(fiber, size, makeUp, scheme),
  };
}

/** Such as `tube 9 yellow, fiber 4 brown`. */
export function placeWords(fiber: number, makeUp: MakeUp, scheme: ColourScheme): string {
  const address = addressOf(makeUp, scheme, fiber);
  return `${address.unitWords}${address.unitWords ? ', ' : ''}fiber ${address.place.position} ${address.fiber.words}`;
}

function whyOf(fiber: number, size: number, makeUp: MakeUp, scheme: ColourScheme): string {
  const before = Math.floor((fiber - 1) / size);
  const unit =
    makeUp.kind === 'ribbon' ? 'ribbon' : makeUp.kind === 'grouped-tube' ? 'group' : 'tube';
  return `${before} full ${unit}${before === 1 ? '' : 's'} of ${size} are ${before * size}; ${fiber} less ${before * size} is ${fiber - before * size}: ${placeWords(fiber, makeUp, scheme)}.`;
}

function shuffle<T>(list: T[], chance: Chance): void {
  for (let index = list.length - 1; index > 0; index--) {
    const other = Math.floor(chance.uniform() * (index + 1));
    [list[index], list[other]] = [list[other]!, list[index]!];
  }
}

/** What can be wrong with a joint in practice, and what is right to do about it. */
export const FAULTS = [
  'none',
  'chip',
  'dirt',
  'offset',
  'swapped',
  'flipped',
  'worn electrodes',
  'wrong program',
  'no sleeve',
] as const;
export type Fault = (typeof FAULTS)[number];

/** What a learner can do at a joint. */
export const ACTIONS = [
  'keep',
  'redo',
  'cleave again',
  'clean and load again',
  'check colours and load again',
  'turn the ribbon',
  'arc check',
  'set the program',
  'sleeve on',
] as const;
export type Action = (typeof ACTIONS)[number];

/** What is right for each fault, and why: said where it was missed. */
export const REMEDY: Record<Fault, { does: Action; why: string }> = {
  none: { does: 'keep', why: 'Nothing was wrong: colours, ends, program and estimate all fit.' },
  chip: {
    does: 'cleave again',
    why: 'A chipped end makes a bad joint: it is cleaved again before it costs an arc and a sleeve.',
  },
  dirt: {
    does: 'clean and load again',
    why: 'Dirt was seen on the picture: wiped and loaded again it is gone; fused, it stays.',
  },
  offset: {
    does: 'redo',
    why: 'The cores did not meet: the estimate says so. Another try costs a sleeve, a bad splice a visit.',
  },
  swapped: {
    does: 'check colours and load again',
    why: 'The colour in the holder was not the plan’s. A swap reads well on every screen, and two circuits are wrong.',
  },
  flipped: {
    does: 'turn the ribbon',
    why: 'Fiber 1 met fiber 12. Every splice reads well, and all twelve circuits are wrong.',
  },
  'worn electrodes': {
    does: 'arc check',
    why: 'One high estimate after another with good cleaves: the arc is off. Redoing alone does not mend it.',
  },
  'wrong program': {
    does: 'set the program',
    why: 'The program was made for other glass. It fuses, and not as it should.',
  },
  'no sleeve': {
    does: 'sleeve on',
    why: 'No sleeve was on. Found after the arc it breaks a good splice; it comes first, always.',
  },
};

export interface DrillAnswer {
  fault: Fault;
  did: Action;
}

/** Score of a round, out of 100, with the reason for each miss. A miss that every screen shows as good weighs double. */
export function scoreDrill(answers: readonly DrillAnswer[]): {
  score: number;
  right: number;
  misses: { place: number; fault: Fault; did: Action; why: string }[];
} {
  const weightOf = (fault: Fault): number => (fault === 'swapped' || fault === 'flipped' ? 2 : 1);
  const all = answers.reduce((sum, { fault }) => sum + weightOf(fault), 0);
  const isRight = ({ fault, did }: DrillAnswer) => REMEDY[fault].does === did;
  const good = answers.filter(isRight).reduce((sum, { fault }) => sum + weightOf(fault), 0);
  return {
    score: all === 0 ? 0 : Math.round((100 * good) / all),
    right: answers.filter(isRight).length,
    misses: answers.flatMap((answer, index) =>
      isRight(answer)
        ? []
        : [
            {
              place: index + 1,
              fault: answer.fault,
              did: answer.did,
              why: REMEDY[answer.fault].why,
            },
          ],
    ),
  };
}
