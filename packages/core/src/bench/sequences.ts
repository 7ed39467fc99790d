import type { SleeveKind, Splicer } from '../record/instrument.ts';
import type { Practice } from '../record/practice.ts';
import type { BenchSetup, JointNeeds, Way } from './setup.ts';
import type { TimerKind } from './timers.ts';

/** What is done at a step of a bench sequence. */
export type StepMessage =
  | { code: 'sleeve' | 'pigtailSleeve'; sleeve: SleeveKind }
  | { code: (typeof PLAIN_STEPS)[number] }
  /** Which coating each holder takes, um. */
  | { code: 'holders'; leftUm: number; rightUm: number }
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
  'stripCoating',
  'stripBuffer',
  'stripMixed',
  'stripThermal',
  'clean',
  'wipe',
  'mark30',
  'throughHolder',
  'ribbonLength',
  'load',
  'loadRibbon',
  'loadConnector',
  'checkPause',
  'checkGrooves',
  'fuse',
  'fuseRibbon',
  'tension',
  'center',
  'shrink',
  'shrinkRibbon',
  'shrinkShort',
  'seat',
  'ribbonHolder',
  'looseLength',
  'cleanLoose',
  'pads',
  'colourOrder',
  'equalLengths',
  'shims',
  'clampBoth',
  'bead',
  'press',
  'trimRibbon',
  'turnPads',
  'countColours',
  'connectorHolder',
  'capsOff',
  'connectorProgram',
  'housing',
  'cleaveConnector',
  'clampOpen',
  'insert',
  'clampClosed',
  'lightThrough',
  'inspectFace',
  'breakoutTubing',
  'breakoutBlock',
  'mountConnector',
] as const;

/** What must be known before a step. */
export type StepCaution =
  'shards' | 'alcohol' | 'hot' | 'laser' | 'hotStripper' | 'visibleLight' | 'hotMetal';

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
  /** Outside diameter of the coating of both sides, um. */
  coatings: JointNeeds['coatings'];
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

/** Tight buffer comes off in short steps before the coating; fiber of outside plant has none. */
const isBuffered = (coatingUm: number): boolean => coatingUm === 900;

const STRIP: Step = {
  key: 'strip',
  message: ({ coatings }) => {
    const buffered = coatings.filter(isBuffered).length;
    return {
      code: buffered === 0 ? 'stripCoating' : buffered === 2 ? 'stripBuffer' : 'stripMixed',
    };
  },
  caution: 'shards',
};
const HOLDERS: Step = {
  key: 'holders',
  message: ({ coatings: [leftUm, rightUm] }) => ({ code: 'holders', leftUm, rightUm }),
};
const CLEAN = plain('clean', 'clean', { caution: 'alcohol' });
/** Cut before it is stripped: cutting back afterwards takes the prepared glass away. */
const LENGTH: Step = {
  key: 'length',
  message: ({ practice }) => ({
    code: practice.workingLength === 'mark 30 mm' ? 'mark30' : 'throughHolder',
  }),
};
const LOAD = plain('load', 'load');
const CHECK = plain('check', 'checkPause');
const FUSE = plain('fuse', 'fuse');
const TENSION = plain('tension', 'tension');
const CENTER = plain('center', 'center');
const SHRINK = plain('shrink', 'shrink', { caution: 'hot', timer: heater });
const SEAT = plain('seat', 'seat');

/** End faces are inspected before every mating. */
const FACE = plain('face', 'inspectFace', { caution: 'laser' });

/** From the working length to the tray, with a sleeve on a fiber. */
const SINGLE_REST: Step[] = [
  HOLDERS,
  LENGTH,
  STRIP,
  CLEAN,
  cleave('cleaveBoth'),
  LOAD,
  CHECK,
  FUSE,
  TENSION,
  CENTER,
  SHRINK,
];

const RIBBON_REST: Step[] = [
  plain('length', 'ribbonLength'),
  plain('holder', 'ribbonHolder'),
  plain('strip', 'stripThermal', { caution: 'hotStripper' }),
  plain('clean', 'wipe', { caution: 'alcohol' }),
  cleave('cleaveAll'),
  plain('load', 'loadRibbon'),
  plain('check', 'checkGrooves'),
  plain('fuse', 'fuseRibbon'),
  TENSION,
  plain('shrink', 'shrinkRibbon', { caution: 'hot', timer: heater }),
  SEAT,
];

/** Loose fibers become a ribbon, act by act. From the bead on there is no pause: the adhesive dries. */
const RIBBONIZE: Step[] = [
  plain('loose', 'looseLength'),
  plain('prepare', 'cleanLoose', { caution: 'alcohol' }),
  plain('sleeve', 'ribbonizeSleeve'),
  plain('pads', 'pads'),
  plain('order', 'colourOrder'),
  plain('equal', 'equalLengths'),
  plain('shims', 'shims'),
  plain('tight', 'clampBoth'),
  plain('bead', 'bead'),
  plain('press', 'press'),
  {
    key: 'adhesive',
    message: ({ practice }) => ({ code: 'adhesive', seconds: practice.adhesiveWait }),
    timer: ({ practice }) => ({ kind: 'adhesive', seconds: practice.adhesiveWait }),
  },
  plain('trim', 'trimRibbon', { caution: 'shards' }),
  plain('turn', 'turnPads', { caution: 'alcohol' }),
  plain('count', 'countColours'),
];

const SEQUENCES: Record<Way, Step[]> = {
  single: [
    { key: 'sleeve', message: ({ setup }) => ({ code: 'sleeve', sleeve: setup.sleeve }) },
    ...SINGLE_REST,
    SEAT,
  ],
  ribbon: [plain('sleeve', 'ribbonSleeve'), ...RIBBON_REST],
  ribbonize: [...RIBBONIZE, ...RIBBON_REST],
  'splice-on': [
    plain('sleeve', 'bootSleeve'),
    plain('holders', 'connectorHolder'),
    LENGTH,
    STRIP,
    CLEAN,
    cleave('cleaveOne'),
    // Cap and protector come off before the connector is loaded.
    plain('caps', 'capsOff', { caution: 'laser' }),
    plain('load', 'loadConnector', { caution: 'laser' }),
    plain('program', 'connectorProgram'),
    CHECK,
    FUSE,
    { ...TENSION, when: ({ practice }) => practice.noTension === null },
    {
      key: 'no tension',
      message: ({ practice }) => ({ code: 'noTension', why: practice.noTension ?? '' }),
      when: ({ practice }) => practice.noTension !== null,
    },
    plain('shrink', 'shrinkShort', { caution: 'hotMetal', timer: heater }),
    plain('house', 'housing', { caution: 'laser' }),
    FACE,
  ],
  pigtail: [
    { key: 'sleeve', message: ({ setup }) => ({ code: 'pigtailSleeve', sleeve: setup.sleeve }) },
    ...SINGLE_REST,
    { ...SEAT, caution: 'laser' },
    FACE,
  ],
  // Nothing is fused, and nobody estimates: light through it or a measured loss tells.
  mechanical: [
    plain('sleeve', 'bootOnly'),
    STRIP,
    CLEAN,
    plain('cleave', 'cleaveConnector', { caution: 'shards' }),
    plain('open', 'clampOpen'),
    plain('insert', 'insert'),
    plain('close', 'clampClosed'),
    plain('check', 'lightThrough', { caution: 'visibleLight' }),
  ],
  // Slow: most splice pigtails instead.
  breakout: [
    plain('tubing', 'breakoutTubing'),
    plain('block', 'breakoutBlock'),
    plain('sleeve', 'bootOnly'),
    STRIP,
    CLEAN,
    plain('mount', 'mountConnector', { caution: 'shards' }),
    FACE,
    plain('check', 'lightThrough', { caution: 'visibleLight' }),
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
