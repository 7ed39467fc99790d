import type { SleeveKind, Splicer } from '../record/instrument.ts';
import type { Practice } from '../record/practice.ts';
import type { BenchSetup, Way } from './setup.ts';
import type { TimerKind } from './timers.ts';

/** What is done at a step of a bench sequence. */
export type StepMessage =
  | { code: 'sleeve' | 'pigtailSleeve'; sleeve: SleeveKind }
  | { code: (typeof PLAIN_STEPS)[number] }
  /** By the length that is chosen, where one is. */
  | { code: 'cleaveBoth' | 'cleaveAll' | 'cleaveOne' }
  | { code: 'cleaveBothAt' | 'cleaveAllAt' | 'cleaveOneAt'; lengthMm: number }
  | { code: 'adhesive'; seconds: number }
  /** The tension test is off, with the practice's reason. */
  | { code: 'noTension'; why: string };

/** Steps that need no figure. */
export const PLAIN_STEPS = [
  'ribbonSleeve',
  'ribbonizeSleeve',
  'bootSleeve',
  'bootOnly',
  'strip',
  'stripShort',
  'stripThermal',
  'clean',
  'wipe',
  'mark30',
  'throughHolder',
  'load',
  'loadRibbon',
  'loadConnector',
  'fuse',
  'fuseRibbon',
  'tension',
  'shrink',
  'shrinkRibbon',
  'shrinkShort',
  'seat',
  'ribbonHolder',
  'prepareLoose',
  'colourOrder',
  'countColours',
  'housing',
  'cleaveConnector',
  'insert',
  'checkLight',
] as const;

/** What must be known before a step. */
export type StepCaution = 'shards' | 'alcohol' | 'hot' | 'laser' | 'hotStripper';

/** One thing to do at the bench. */
export interface BenchStep {
  key: string;
  message: StepMessage;
  caution: StepCaution | null;
  /** A timer that is started with the step. */
  timer: { kind: TimerKind; seconds: number } | null;
}

export interface SequenceTask {
  practice: Practice;
  setup: BenchSetup;
  splicer: Splicer | null;
}

interface Step {
  key: string;
  message: StepMessage | ((task: SequenceTask) => StepMessage);
  caution?: StepCaution;
  timer?: (task: SequenceTask) => BenchStep['timer'];
  /** Left out where this says no. */
  when?: (task: SequenceTask) => boolean;
}

const plain = (
  key: string,
  code: (typeof PLAIN_STEPS)[number],
  part: Omit<Step, 'key' | 'message'> = {},
): Step => ({ key, message: { code }, ...part });

const heater = ({ setup, splicer }: SequenceTask): BenchStep['timer'] => ({
  kind: 'heater',
  seconds: splicer?.heaterPrograms.find(({ name }) => name === setup.heaterProgram)?.seconds ?? 35,
});

const cleave = (code: 'cleaveBoth' | 'cleaveAll' | 'cleaveOne'): Step => ({
  key: 'cleave',
  message: ({ setup }) =>
    setup.cleaveLength === null
      ? { code }
      : { code: `${code}At`, lengthMm: setup.cleaveLength / 10 },
  caution: 'shards',
});

const STRIP = plain('strip', 'strip', { caution: 'shards' });
const CLEAN = plain('clean', 'clean', { caution: 'alcohol' });
const LENGTH: Step = {
  key: 'length',
  message: ({ practice }) => ({
    code: practice.workingLength === 'mark 30 mm' ? 'mark30' : 'throughHolder',
  }),
};
const LOAD = plain('load', 'load');
const FUSE = plain('fuse', 'fuse');
const TENSION = plain('tension', 'tension');
const SHRINK = plain('shrink', 'shrink', { caution: 'hot', timer: heater });
const SEAT = plain('seat', 'seat');

const RIBBON_REST: Step[] = [
  plain('holder', 'ribbonHolder'),
  plain('strip', 'stripThermal', { caution: 'hotStripper' }),
  plain('clean', 'wipe', { caution: 'alcohol' }),
  cleave('cleaveAll'),
  plain('load', 'loadRibbon'),
  plain('fuse', 'fuseRibbon'),
  TENSION,
  plain('shrink', 'shrinkRibbon', { caution: 'hot', timer: heater }),
  SEAT,
];

const SEQUENCES: Record<Way, Step[]> = {
  single: [
    { key: 'sleeve', message: ({ setup }) => ({ code: 'sleeve', sleeve: setup.sleeve }) },
    STRIP,
    CLEAN,
    LENGTH,
    cleave('cleaveBoth'),
    LOAD,
    FUSE,
    TENSION,
    SHRINK,
    SEAT,
  ],
  ribbon: [plain('sleeve', 'ribbonSleeve'), ...RIBBON_REST],
  ribbonize: [
    plain('sleeve', 'ribbonizeSleeve'),
    plain('prepare', 'prepareLoose', { caution: 'alcohol' }),
    plain('order', 'colourOrder'),
    {
      key: 'adhesive',
      message: ({ practice }) => ({ code: 'adhesive', seconds: practice.adhesiveWait }),
      timer: ({ practice }) => ({ kind: 'adhesive', seconds: practice.adhesiveWait }),
    },
    plain('count', 'countColours'),
    ...RIBBON_REST,
  ],
  'splice-on': [
    plain('sleeve', 'bootSleeve'),
    STRIP,
    CLEAN,
    cleave('cleaveOne'),
    plain('load', 'loadConnector', { caution: 'laser' }),
    FUSE,
    { ...TENSION, when: ({ practice }) => practice.noTension === null },
    {
      key: 'no tension',
      message: ({ practice }) => ({ code: 'noTension', why: practice.noTension ?? '' }),
      when: ({ practice }) => practice.noTension !== null,
    },
    plain('shrink', 'shrinkShort', { caution: 'hot', timer: heater }),
    plain('house', 'housing', { caution: 'laser' }),
  ],
  pigtail: [
    { key: 'sleeve', message: ({ setup }) => ({ code: 'pigtailSleeve', sleeve: setup.sleeve }) },
    STRIP,
    CLEAN,
    LENGTH,
    cleave('cleaveBoth'),
    LOAD,
    FUSE,
    TENSION,
    SHRINK,
    { ...SEAT, caution: 'laser' },
  ],
  mechanical: [
    plain('sleeve', 'bootOnly'),
    plain('strip', 'stripShort', { caution: 'shards' }),
    CLEAN,
    plain('cleave', 'cleaveConnector', { caution: 'shards' }),
    plain('insert', 'insert'),
    plain('check', 'checkLight', { caution: 'laser' }),
  ],
};

/** The steps of a way, by the project's practice and what is set up. */
export const stepsOf = (task: SequenceTask): BenchStep[] =>
  SEQUENCES[task.setup.way]
    .filter(({ when }) => when?.(task) ?? true)
    .map(({ key, message, caution, timer }) => ({
      key,
      message: typeof message === 'function' ? message(task) : message,
      caution: caution ?? null,
      timer: timer?.(task) ?? null,
    }));
