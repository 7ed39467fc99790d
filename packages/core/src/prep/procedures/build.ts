import type {
  Ask,
  CableTrait,
  ClosingStepData,
  ClosingWork,
  EntryKind,
  PrepStepData,
  PrepWork,
} from '../../record/procedure.ts';

const PLAIN = { words: '', caution: null, timerS: null, photo: false, asks: [] };

/** When a step applies; all is meant where nothing is said. */
interface When {
  entries?: EntryKind[];
  traits?: CableTrait[];
}

type PrepPart = Partial<Omit<PrepStepData, 'when'>> & { when?: When };

/** Keys under which works were ticked before they were called as they are. */
const KEYS: Partial<Record<PrepWork, string>> = {
  rightCable: 'right',
  rackClamp: 'clamp',
  bracket: 'clamp',
  glandClamp: 'clamp',
  gelChannel: 'clamp',
  glandIn: 'gland',
  fitSeal: 'seal',
  strengthLong: 'strength',
  edges: 'ring',
  dropTube: 'score',
};

/** A step that is done once a cable. */
export const step = (work: PrepWork, { when, ...part }: PrepPart = {}): PrepStepData => ({
  ...PLAIN,
  key: KEYS[work] ?? work,
  work,
  per: 'cable',
  when: { entries: [], traits: [], ...when },
  ...part,
});

/** A step that is done on each leg of an express cable. */
export const onLeg = (work: PrepWork, part: PrepPart = {}): PrepStepData =>
  step(work, { per: 'leg', ...part });

type ClosingPart = Partial<Omit<ClosingStepData, 'when'>> & { when?: When };

/** A point of the closing list. */
export const point = (
  group: ClosingStepData['group'],
  work: ClosingWork,
  { when, ...part }: ClosingPart = {},
): ClosingStepData => ({
  ...PLAIN,
  key: work,
  work,
  group,
  when: { entries: [], traits: [], ...when },
  ...part,
});

/** What a step asks to be written down, in Cordel's words. */
export const ask = (key: string, kind: Ask['kind'] = 'text'): Ask => ({
  key,
  kind,
  words: '',
  unit: '',
});

export const CUT = { entries: ['end', 'express'] } satisfies When;
export const END = { entries: ['end'] } satisfies When;
export const EXPRESS = { entries: ['express'] } satisfies When;
export const DROP = { entries: ['drop'] } satisfies When;
