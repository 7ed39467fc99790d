import type { Splicer } from '../record/instrument.ts';
import type { Practice } from '../record/practice.ts';
import type { BenchSetup, Way } from './setup.ts';
import type { TimerKind } from './timers.ts';

/** One thing to do at the bench. */
export interface BenchStep {
  key: string;
  words: string;
  caution: string | null;
  /** A timer that is started with the step. */
  timer: { kind: TimerKind; seconds: number } | null;
}

export interface SequenceTask {
  practice: Practice;
  setup: BenchSetup;
  splicer: Splicer | null;
}

interface Line {
  key: string;
  words: string | ((task: SequenceTask) => string);
  caution?: string;
  timer?: (task: SequenceTask) => BenchStep['timer'];
  /** Left out where this says no. */
  when?: (task: SequenceTask) => boolean;
}

const SHARDS = 'Glass shards: eyes covered, into the closed container, never a bin.';
const ALCOHOL = 'Alcohol: not near the arc or the heater.';
const HOT = 'The sleeve is hot: take it at the ends.';
const LASER = 'Never look into a fiber end or a connector: the light is invisible.';

const heater = ({ setup, splicer }: SequenceTask): BenchStep['timer'] => ({
  kind: 'heater',
  seconds: splicer?.heaterPrograms.find(({ name }) => name === setup.heaterProgram)?.seconds ?? 35,
});

const cleaveWords = ({ setup }: SequenceTask, what: string): string =>
  `Cleave ${what}${setup.cleaveLength === null ? '' : ` at ${setup.cleaveLength / 10} mm`}; the end touches nothing from now on.`;

const STRIP: Line = {
  key: 'strip',
  words: 'Strip: 900 um in steps of a quarter inch, then the coating.',
  caution: SHARDS,
};
const CLEAN: Line = {
  key: 'clean',
  words: 'Clean with 99 % alcohol until it squeaks.',
  caution: ALCOHOL,
};
const LENGTH: Line = {
  key: 'length',
  words: ({ practice }) =>
    practice.workingLength === 'mark 30 mm'
      ? 'Working length: mark 30 mm back from the end, the mark to the holder’s zero. (The other way: through the sleeve holder, cut half an inch past it.)'
      : 'Working length: through the sleeve holder, cut half an inch past it. (The other way: mark 30 mm back, the mark to the holder’s zero.)',
};
const CLEAVE: Line = {
  key: 'cleave',
  words: (task) => cleaveWords(task, 'both ends'),
  caution: SHARDS,
};
const LOAD: Line = {
  key: 'load',
  words:
    'Load: close to the electrodes, not past the center. Let it pause; look at angles, gap and offset.',
};
const FUSE: Line = { key: 'fuse', words: 'Splice, and read the estimate.' };
const TENSION: Line = {
  key: 'tension',
  words: 'Slide the sleeve up to the wind cover, then open it: the tension test runs, about 2 N.',
};
const SHRINK: Line = {
  key: 'shrink',
  words: 'Center the sleeve, coating inside at both ends, rod down; shrink.',
  caution: HOT,
  timer: heater,
};
const SEAT: Line = {
  key: 'seat',
  words:
    'Cooled and straight: seat it in its slot; lay the slack by turning the tray, never by twisting.',
};

const RIBBON_REST: Line[] = [
  {
    key: 'holder',
    words:
      'Ribbon in its holder, about 1.5 in past it, the same side up left and right: 1 meets 1.',
  },
  {
    key: 'strip',
    words: 'Thermal strip; empty the stripper of matrix.',
    caution: 'The stripper is hot. Keep solvent away from it.',
  },
  { key: 'clean', words: 'Wipe until it squeaks; flick to see that none stick.', caution: ALCOHOL },
  { key: 'cleave', words: (task) => cleaveWords(task, 'all at once, both sides'), caution: SHARDS },
  { key: 'load', words: 'Load; see that every fiber lies in its groove.' },
  { key: 'fuse', words: 'Splice, and read the estimates in order.' },
  TENSION,
  { ...SHRINK, words: 'Center the ribbon sleeve, coating inside at both ends; shrink.' },
  SEAT,
];

const SEQUENCES: Record<Way, Line[]> = {
  single: [
    { key: 'sleeve', words: ({ setup }) => `Sleeve on first: ${setup.sleeve}.` },
    STRIP,
    CLEAN,
    LENGTH,
    CLEAVE,
    LOAD,
    FUSE,
    TENSION,
    SHRINK,
    SEAT,
  ],
  ribbon: [{ key: 'sleeve', words: 'Ribbon sleeve on first.' }, ...RIBBON_REST],
  ribbonize: [
    { key: 'sleeve', words: 'Ribbon sleeve on first, over all loose fibers of the group.' },
    { key: 'prepare', words: 'Prepare 36 in of loose fiber; clean it.', caution: ALCOHOL },
    {
      key: 'order',
      words:
        'Fibers one by one into the applicator in colour order, equal lengths, under tension: 4 in of ribbon, 3 in beyond.',
    },
    {
      key: 'adhesive',
      words: ({ practice }) =>
        `Adhesive on; do not touch for ${practice.adhesiveWait} s. A lower pad is good for two, an upper one for one.`,
      timer: ({ practice }) => ({ kind: 'adhesive', seconds: practice.adhesiveWait }),
    },
    {
      key: 'count',
      words: 'Count the colours once more, both ribbons, before anything is stripped.',
    },
    ...RIBBON_REST,
  ],
  'splice-on': [
    { key: 'sleeve', words: 'Boot and 27 mm sleeve on first.' },
    STRIP,
    CLEAN,
    { key: 'cleave', words: (task) => cleaveWords(task, 'the fiber'), caution: SHARDS },
    { key: 'load', words: 'Connector into its holder, cap on; load both ends.', caution: LASER },
    FUSE,
    { ...TENSION, when: ({ practice }) => practice.noTension === null },
    {
      key: 'no tension',
      words: ({ practice }) =>
        `Tension test is off for splice-on connectors: ${practice.noTension}`,
      when: ({ practice }) => practice.noTension !== null,
    },
    { ...SHRINK, words: '27 mm sleeve up to the ferrule; shrink.' },
    { key: 'house', words: 'Housing and boot on; keep the cap on the ferrule.', caution: LASER },
  ],
  pigtail: [
    {
      key: 'sleeve',
      words: ({ setup }) => `Sleeve on first: ${setup.sleeve}, on the pigtail’s side.`,
    },
    STRIP,
    CLEAN,
    LENGTH,
    CLEAVE,
    LOAD,
    FUSE,
    TENSION,
    SHRINK,
    { ...SEAT, caution: LASER },
  ],
  mechanical: [
    { key: 'sleeve', words: 'Boot on first. No heat sleeve: the connector holds the fiber.' },
    { ...STRIP, words: 'Blue fiber first. Strip 900 um in short steps, then the coating.' },
    CLEAN,
    { key: 'cleave', words: 'Cleave to the connector’s own length.', caution: SHARDS },
    { key: 'insert', words: 'Push in until the fiber bows a little; hold, and close the clamp.' },
    {
      key: 'check',
      words: 'Check with a visible light source: dark at the joint is good.',
      caution: LASER,
    },
  ],
};

/** The steps of a way, by the project's practice and what is set up. */
export const stepsOf = (task: SequenceTask): BenchStep[] =>
  SEQUENCES[task.setup.way]
    .filter(({ when }) => when?.(task) ?? true)
    .map(({ key, words, caution, timer }) => ({
      key,
      words: typeof words === 'string' ? words : words(task),
      caution: caution ?? null,
      timer: timer?.(task) ?? null,
    }));

/**
 * What a drop's end usually loses, dB, by how it is made (common practice, no source): a splice as
 * good as any other; a mechanical one a few tenths.
 */
export const USUAL_END_LOSS: Record<Practice['dropEnd'], string> = {
  'splice-on': '0.02 to 0.1 dB for the splice, and the connector pair up to 0.75 dB',
  pigtail: '0.02 to 0.1 dB for the splice, and the connector pair up to 0.75 dB',
  mechanical: '0.1 to 0.5 dB for the joint, and the connector pair up to 0.75 dB',
};
