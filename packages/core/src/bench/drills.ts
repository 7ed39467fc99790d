import type { CableKind, MakeUp } from '../record/cable.ts';
import { fiberCount } from '../record/cable.ts';
import type { Chance } from './shift/runs.ts';

/** A question about colours: a fiber by its number, to be told by its place, or the other way. */
export interface ColourQuestion {
  makeUp: MakeUp;
  fiber: number;
  asks: 'place' | 'number';
  /** Choices, fibers by number, of which one is right. */
  choices: number[];
  right: number;
  /** Why it is right: full units before the fiber, and their size. */
  unit: 'tube' | 'group' | 'ribbon';
  fullUnits: number;
  unitSize: number;
}

const CABLES: readonly (MakeUp & { kind: CableKind })[] = [
  { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
  { kind: 'loose-tube', tubes: 12, fibersPerTube: 24 },
  { kind: 'grouped-tube', tubes: 6, groupsPerTube: 2 },
  { kind: 'ribbon', ribbons: 24 },
];

/** A question of a drill on colors, with choices that differ by the slips that are usually made. */
export function askColour(chance: Chance): ColourQuestion {
  const pick = (count: number) => Math.floor(chance.uniform() * count);
  const makeUp = CABLES[pick(CABLES.length)]!;
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
  return {
    makeUp,
    fiber,
    asks,
    choices: list,
    right: list.indexOf(fiber),
    unit: UNIT_OF[makeUp.kind],
    fullUnits: Math.floor((fiber - 1) / size),
    unitSize: size,
  };
}

/** What fibers of a cable are counted in. */
const UNIT_OF = {
  'loose-tube': 'tube',
  'grouped-tube': 'group',
  ribbon: 'ribbon',
  drop: 'tube',
} as const;

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

/** What is right for each fault. */
export const REMEDY: Record<Fault, Action> = {
  none: 'keep',
  chip: 'cleave again',
  dirt: 'clean and load again',
  offset: 'redo',
  swapped: 'check colours and load again',
  flipped: 'turn the ribbon',
  'worn electrodes': 'arc check',
  'wrong program': 'set the program',
  'no sleeve': 'sleeve on',
};

export interface DrillAnswer {
  fault: Fault;
  did: Action;
}

/** Score of a round, out of 100, with the reason for each miss. A miss that every screen shows as good weighs double. */
export function scoreDrill(answers: readonly DrillAnswer[]): {
  score: number;
  right: number;
  misses: { place: number; fault: Fault; did: Action }[];
} {
  const weightOf = (fault: Fault): number => (fault === 'swapped' || fault === 'flipped' ? 2 : 1);
  const all = answers.reduce((sum, { fault }) => sum + weightOf(fault), 0);
  const isRight = ({ fault, did }: DrillAnswer) => REMEDY[fault] === did;
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
            },
          ],
    ),
  };
}
