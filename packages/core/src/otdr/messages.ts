import { z } from 'zod';
import {
  daySchema,
  listedSchema,
  lossSchema,
  placeSchema,
  rangeSchema,
  tapeSchema,
} from '../record/message.ts';

/** What traces say travels from server to page: as data, by these schemas. */

const directionSchema = z.enum(['AB', 'BA']);
const yesNoSchema = z.enum(['yes', 'no']);
const label = z.string();

/** What is odd about traces. `label` names a circuit, `file` a trace's file. */
export const proofMessageSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('copyOfOther'), label, files: listedSchema }),
  z.object({ code: z.literal('savedForSeveral'), files: listedSchema }),
  z.object({ code: z.literal('noiseOnly'), file: z.string() }),
  /** Group indices as they are set, such as 1.4675. */
  z.object({
    code: z.literal('groupIndex'),
    files: listedSchema,
    index: z.string(),
    usual: z.string(),
    wavelengthNm: z.int(),
  }),
  /** Fiber fades as it does at another wavelength, dB a kilometer. */
  z.object({
    code: z.literal('otherWavelength'),
    file: z.string(),
    measured: lossSchema,
    usual: lossSchema,
    wavelengthNm: z.int(),
    likelyNm: z.int(),
  }),
  z.object({ code: z.literal('lengthUnknown'), cable: z.string() }),
  z.object({
    code: z.enum(['scaleLong', 'scaleShort']),
    percent: z.string(),
    index: z.string(),
    fitting: z.string(),
  }),
  z.object({ code: z.literal('receiveFiber'), file: z.string(), length: tapeSchema }),
  z.object({ code: z.literal('lostInNoise'), file: z.string(), label, from: rangeSchema }),
  z.object({
    code: z.literal('rangeTooShort'),
    file: z.string(),
    label,
    range: rangeSchema,
    end: rangeSchema,
  }),
  z.object({ code: z.literal('noEndSeen'), file: z.string(), range: rangeSchema }),
  z.object({
    code: z.literal('endFromOneSide'),
    label,
    direction: directionSchema,
    at: placeSchema,
  }),
  z.object({ code: z.literal('launchFiber'), files: listedSchema, length: tapeSchema }),
  z.object({
    code: z.literal('otherWavelengths'),
    label,
    ab: z.array(z.string()),
    ba: z.array(z.string()),
  }),
  z.object({
    code: z.literal('directionMissing'),
    label,
    wavelengthNm: z.int(),
    missing: directionSchema,
  }),
  /** Two files of the first fiber go with two of the second. */
  z.object({
    code: z.literal('swapped'),
    first: label,
    second: label,
    direction: directionSchema,
    wavelengthNm: z.int(),
    otherDirection: directionSchema,
    otherNm: z.int(),
    files: z.array(z.string()),
    otherFiles: z.array(z.string()),
  }),
  /** Shot before fibers were cut over at a closure; the day is a moment of it, ISO 8601. */
  z.object({
    code: z.literal('cutOverSince'),
    files: listedSchema,
    closure: z.string(),
    day: daySchema,
  }),
]);
export type ProofMessage = z.infer<typeof proofMessageSchema>;

const span = {
  cable: z.string(),
  from: z.string(),
  to: z.string(),
  by: tapeSchema,
  longer: yesNoSchema,
};

/** A written length that the traces do not bear out. `by` is how much more or less there is. */
export const correctionMessageSchema = z.discriminatedUnion('code', [
  z.object({
    code: z.literal('loops'),
    closure: z.string(),
    by: tapeSchema,
    longer: yesNoSchema,
    written: tapeSchema,
    measured: tapeSchema,
  }),
  z.object({ code: z.literal('place'), closure: z.string(), by: tapeSchema, farther: yesNoSchema }),
  /** Which of the span's lengths may be wrong is not known, or its sheath marks are. */
  z.object({ code: z.enum(['spanMarks', 'span']), ...span }),
  /** Most likely the loop at one closure. */
  z.object({
    code: z.literal('spanLoop'),
    ...span,
    closure: z.string(),
    written: tapeSchema,
    measured: tapeSchema,
  }),
  z.object({ code: z.literal('spanLoops'), ...span, closures: z.array(z.string()) }),
]);
export type CorrectionMessage = z.infer<typeof correctionMessageSchema>;

/** A loss as one trace shows it. */
export const seenLossSchema = z.object({
  direction: directionSchema,
  wavelengthNm: z.int(),
  loss: lossSchema,
});

export type SeenLoss = z.infer<typeof seenLossSchema>;

/** What is bad or looks so, and what speaks for it. `label` names a splice by the fibers that it joins. */
export const findingMessageSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('notJoined'), label, closure: z.string() }),
  z.object({ code: z.literal('severalNotJoined'), fibers: z.int(), closure: z.string() }),
  z.object({ code: z.literal('broken'), label, at: placeSchema, direction: directionSchema }),
  /** Seen from both ends: the same place, or two with a length between that neither has seen. */
  z.object({
    code: z.enum(['brokenSamePlace', 'brokenTwoPlaces']),
    label,
    at: placeSchema,
    direction: directionSchema,
    otherAt: placeSchema,
    otherDirection: directionSchema,
  }),
  /** An echo: as far as two reflections together, or shown by one direction alone. */
  z.object({ code: z.enum(['echo', 'echoOneWay']), label, seen: z.array(seenLossSchema) }),
  z.object({
    code: z.enum(['unplanned', 'unplannedBend']),
    label,
    seen: z.array(seenLossSchema),
    reflects: yesNoSchema,
  }),
  z.object({
    code: z.literal('reflects'),
    label,
    peakDb: z.string(),
    wavelengthNm: z.int(),
    loss: lossSchema,
  }),
  z.object({ code: z.literal('highOneWay'), label, ...seenLossSchema.shape }),
  /** `corrected` is without what the directions of its peers differ by. */
  z.object({
    code: z.literal('highOneWayCorrected'),
    label,
    ...seenLossSchema.shape,
    corrected: lossSchema,
  }),
  z.object({
    code: z.literal('bent'),
    label,
    long: lossSchema,
    longNm: z.int(),
    short: lossSchema,
    shortNm: z.int(),
  }),
  z.object({
    code: z.literal('modeFields'),
    label,
    difference: lossSchema,
    percent: z.int(),
    alone: lossSchema,
    loss: lossSchema,
  }),
  z.object({
    code: z.literal('badSplice'),
    label,
    loss: lossSchema,
    wavelengthNm: z.int(),
    limit: lossSchema,
    circuit: z.string(),
  }),
  z.object({
    code: z.literal('goodOneWay'),
    label,
    wavelengthNm: z.int(),
    ab: lossSchema,
    ba: lossSchema,
    mean: lossSchema,
    high: z.int(),
    fibers: z.int(),
    closure: z.string(),
  }),
  z.object({
    code: z.literal('trayHigh'),
    tray: z.string(),
    closure: z.string(),
    high: z.int(),
    fibers: z.int(),
    median: lossSchema,
    usual: lossSchema,
    bent: yesNoSchema,
  }),
  z.object({
    code: z.literal('ribbonEdges'),
    closure: z.string(),
    positions: z.array(z.string()),
    lossesDb: z.array(z.string()),
    usual: lossSchema,
  }),
]);
export type FindingMessage = z.infer<typeof findingMessageSchema>;

const fault = { cable: z.string(), from: z.string(), sheath: tapeSchema };

/** Where to go. */
export const whereMessageSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('closure'), closure: z.string() }),
  z.object({ code: z.literal('tray'), closure: z.string(), tray: z.string() }),
  z.object({ code: z.literal('slot'), closure: z.string(), tray: z.int(), slot: z.int() }),
  /** The splice shows so much fiber before or behind its peers. */
  z.object({
    code: z.literal('slotOffset'),
    closure: z.string(),
    tray: z.int(),
    slot: z.int(),
    offset: tapeSchema,
    side: z.enum(['before', 'behind']),
  }),
  z.object({ code: z.literal('inLoop'), ...fault }),
  z.object({ code: z.literal('inLoopMark'), ...fault, mark: tapeSchema }),
  z.object({ code: z.literal('along'), ...fault, toward: z.string() }),
  z.object({ code: z.literal('alongMark'), ...fault, toward: z.string(), mark: tapeSchema }),
]);
export type WhereMessage = z.infer<typeof whereMessageSchema>;

/** Why a circuit has light or not. */
export const budgetMessageSchema = z.discriminatedUnion('code', [
  z.object({ code: z.literal('broken'), where: z.array(whereMessageSchema) }),
  z.object({ code: z.enum(['deadFiber', 'lengthUnknown', 'noAttenuation']) }),
  z.object({
    code: z.literal('over'),
    by: lossSchema,
    wavelengthNm: z.int(),
    loss: lossSchema,
    most: lossSchema,
  }),
  z.object({ code: z.literal('notSpliced'), splices: z.int() }),
  z.object({
    code: z.literal('littleLeft'),
    left: lossSchema,
    wavelengthNm: z.int(),
    error: lossSchema,
  }),
  z.object({ code: z.literal('left'), left: lossSchema, wavelengthNm: z.int() }),
]);
export type BudgetMessage = z.infer<typeof budgetMessageSchema>;
