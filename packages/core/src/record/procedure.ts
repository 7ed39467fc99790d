import { z } from 'zod';
import { issue } from './issue.ts';

export const ENTRY_KINDS = ['end', 'express', 'drop'] as const;
export const entryKindSchema = z.enum(ENTRY_KINDS);
export type EntryKind = z.infer<typeof entryKindSchema>;

/** Works of opening and routing that Cordel has words and figures for. */
export const PREP_WORKS = [
  'rightCable',
  'voltage',
  'diameter',
  'tracer',
  'slitSeal',
  'seal',
  'fitSeal',
  'mark',
  'access',
  'ring',
  'sheath',
  'edges',
  'split',
  'yarn',
  'aramid',
  'aramidTrim',
  'centralTube',
  'strength',
  'strengthLong',
  'bracket',
  'tieToBracket',
  'clamp',
  'rackClamp',
  'spacer',
  'hose',
  'shieldStud',
  'bond',
  'noneSqueezed',
  'sealIn',
  'groundStud',
  'sealCap',
  'bushing',
  'gelChannel',
  'wedgeIn',
  'glandLoose',
  'glandGrease',
  'glandClamp',
  'glandIn',
  'units',
  'score',
  'dropTube',
  'groups',
  'tubesRound',
  'wrap',
  'pairs',
  'cutSleeves',
  'forks',
  'pairsThrough',
  'entryPlate',
  'conduit',
  'pairSleeves',
  'route',
  'spliceHolder',
  'moduleEntry',
  'trunkLoop',
  'pigtailLoop',
  'workingLength',
  'holderOrder',
  'warmTools',
  'coreStrip',
  'dropConnector',
] as const;
export type PrepWork = (typeof PREP_WORKS)[number];

/** Works of closing that Cordel has words and figures for. */
export const CLOSING_WORKS = [
  'trayLaid',
  'traysStacked',
  'tubesRouted',
  'cableHeld',
  'shieldBonded',
  'tracerOut',
  'portSealed',
  'sealPin',
  'wedgeLatched',
  'facesClean',
  'ringClean',
  'gelClean',
  'filmOff',
  'gasketSeated',
  'gasketGreased',
  'sealant',
  'bolts',
  'boltsAgain',
  'strapsOn',
  'slotsHome',
  'holdersIn',
  'slackLaid',
  'tiesOn',
  'lidOn',
  'domeIn',
  'lipCaptured',
  'domeTurned',
  'ringOn',
  'latchClosed',
  'pinIn',
  'collarTight',
  'tabsLocked',
  'housingOn',
  'collarLocked',
  'valveCap',
  'mounted',
  'slackStored',
  'labelled',
] as const;
export type ClosingWork = (typeof CLOSING_WORKS)[number];

/** What must be known before a step. */
export const PREP_CAUTIONS = [
  'blade',
  'bladeTubes',
  'shards',
  'shardsOtherTubes',
  'solvent',
  'qualified',
  'invisibleLight',
  'handTools',
  'pressure',
  'height',
] as const;
export type PrepCaution = (typeof PREP_CAUTIONS)[number];

/** What a cable must be for a step to apply. */
export const CABLE_TRAITS = [
  'armoured',
  'tracer',
  'metallic',
  'ribbon',
  'tubes',
  'groups',
  'thin',
] as const;
export type CableTrait = (typeof CABLE_TRAITS)[number];

/** Traits that a closing list knows of a cable: of its make-up it knows nothing. */
export const CLOSING_TRAITS: readonly CableTrait[] = ['armoured', 'tracer', 'metallic'];

/** Figures of a profile that own words of a step may name in braces, as in `{strength}`. */
export const PROFILE_FIGURES = [
  'strength',
  'sheath',
  'aramid',
  'ripcord',
  'centralTube',
  'dropTube',
  'window',
  'clamp',
  'hoseClamp',
  'tubeToTray',
  'access',
  'torque',
  'test',
] as const;
export type ProfileFigure = (typeof PROFILE_FIGURES)[number];

const FIGURE = /\{([^{}]*)\}/g;

/** Figures that words name in braces, in their order. */
export const figuresIn = (words: string): string[] =>
  [...words.matchAll(FIGURE)].map(([, name]) => name!);

const key = z
  .string()
  .trim()
  .min(1)
  .max(60)
  // A leg and a tube are told by what follows a blank.
  .regex(/^[\w:-]+$/, issue('stepKeyWrong'));

/** What Cordel has words for asking. */
export const KNOWN_ASKS = [
  'testedBy',
  'voltageFound',
  'detector',
  'numberTwice',
  'releasedBy',
  'torqueUsed',
] as const;
export type KnownAsk = (typeof KNOWN_ASKS)[number];

/** What a step asks to be written down; `words` is empty where Cordel has words for its key. */
export const askSchema = z
  .object({
    key,
    words: z.string().trim().max(120),
    kind: z.enum(['text', 'yes', 'number']),
    /** Such as N·m; empty without. */
    unit: z.string().trim().max(20),
  })
  .refine((ask) => ask.words !== '' || (KNOWN_ASKS as readonly string[]).includes(ask.key), {
    error: issue('stepWordsMissing'),
    path: ['words'],
  });
export type Ask = z.infer<typeof askSchema>;

/** When a step applies: for one of the ways to enter, and a cable that has every trait. Empty lists ask for nothing. */
const conditionSchema = z.object({
  entries: z.array(entryKindSchema).max(ENTRY_KINDS.length),
  traits: z.array(z.enum(CABLE_TRAITS)).max(CABLE_TRAITS.length),
});
export type Condition = z.infer<typeof conditionSchema>;

const step = {
  /** Names the step for good, so that what was ticked stays with it. */
  key,
  /** Own words, with figures of the profile in braces; empty where the work's own words stand. */
  words: z
    .string()
    .trim()
    .max(400)
    .superRefine((words, context) => {
      const unknown = figuresIn(words).find(
        (name) => !(PROFILE_FIGURES as readonly string[]).includes(name),
      );
      if (unknown === undefined) return;
      context.addIssue({
        code: 'custom',
        message: issue('figureUnknown'),
        params: { figure: unknown, known: PROFILE_FIGURES.join(', ') },
      });
    }),
  caution: z.enum(PREP_CAUTIONS).nullable(),
  when: conditionSchema,
  /** Seconds to wait; null without a timer. */
  timerS: z
    .int()
    .min(1)
    .max(4 * 3600)
    .nullable(),
  photo: z.boolean(),
  asks: z.array(askSchema).max(6),
};

const saidBySomebody = (own: { work: string | null; words: string }): boolean =>
  own.work !== null || own.words !== '';

/** A step of opening a cable. */
export const prepStepSchema = z
  .object({
    ...step,
    /** What Cordel knows of it; null for a step of one's own. */
    work: z.enum(PREP_WORKS).nullable(),
    /** Whether it is done once a cable, or on each leg of an express cable. */
    per: z.enum(['cable', 'leg']),
  })
  .refine(saidBySomebody, { error: issue('stepWordsMissing'), path: ['words'] });
export type PrepStepData = z.infer<typeof prepStepSchema>;

/** Parts of a closing list, in the order in which they are gone through. `after` comes once the test has passed. */
export const CLOSING_GROUPS = [
  'trays',
  'cables',
  'ports',
  'faces',
  'bolts',
  'cover',
  'after',
] as const;

/** A point of the closing list. */
export const closingStepSchema = z
  .object({
    ...step,
    work: z.enum(CLOSING_WORKS).nullable(),
    group: z.enum(CLOSING_GROUPS),
  })
  .refine(saidBySomebody, { error: issue('stepWordsMissing'), path: ['words'] })
  .refine(({ when }) => when.traits.every((trait) => CLOSING_TRAITS.includes(trait)), {
    error: issue('traitNotClosing'),
    path: ['when', 'traits'],
  });
export type ClosingStepData = z.infer<typeof closingStepSchema>;

/** Most steps of a list. */
const MOST_STEPS = 100;

const oneKeyOnce = (steps: readonly { key: string }[], context: z.RefinementCtx): void => {
  const seen = new Set<string>();
  steps.forEach((one, index) => {
    if (seen.has(one.key))
      context.addIssue({
        code: 'custom',
        path: [index, 'key'],
        message: issue('stepTwice'),
        params: { step: one.key },
      });
    seen.add(one.key);
  });
};

/** How a form of hardware is opened, its cables routed and it is closed: steps in the order of the work. */
export const procedureSchema = z.object({
  opening: z
    .array(prepStepSchema)
    .max(MOST_STEPS)
    .superRefine(oneKeyOnce)
    .refine((steps) => steps.some(({ work }) => work === 'ring' || work === 'edges'), {
      error: issue('ringCutMissing'),
    }),
  closing: z.array(closingStepSchema).max(MOST_STEPS).superRefine(oneKeyOnce),
});
export type Procedure = z.infer<typeof procedureSchema>;
