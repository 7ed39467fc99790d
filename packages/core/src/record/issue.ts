import type { z } from 'zod';

/** What a schema refuses: where, and why. */
export type SchemaIssue = z.core.$ZodIssue;

/** Codes of what the schemas of this application refuse beyond kind and size. */
const SCHEMA_CODES = [
  'airPressureTooHigh',
  'airPressureTooLow',
  'atLeast',
  'atLeastOne',
  'atMost',
  'atMostTwelve',
  'attemptsTooFew',
  'attemptsTooMany',
  'attenuationMissing',
  'boltsWrong',
  'cableNameMissing',
  'cableNameTooLong',
  'cableTooThick',
  'cableTooThin',
  'cleaningsTooMany',
  'cleaveLengthMissing',
  'colourCodeWrong',
  'colourHexWrong',
  'colourNameMissing',
  'coloursTooFew',
  'coloursTooMany',
  'colourTwice',
  'correctionReasonMissing',
  'countNotWhole',
  'countTooLarge',
  'countTooSmall',
  'darkProofMissing',
  'directionWrong',
  'distanceNegative',
  'documentTooNew',
  'documentVersionWrong',
  'doneMissing',
  'durationNegative',
  'endNameMissing',
  'estimateNegative',
  'estimateNotWhole',
  'estimateTooLarge',
  'faceUngraded',
  'fiberBelowOne',
  'fiberNotWhole',
  'fibersTooMany',
  'figureUnknown',
  'gainTooLarge',
  'gaugeTooHigh',
  'gaugeTooLow',
  'heaterProgramNameMissing',
  'heaterProgramsMissing',
  'helixTooFine',
  'helixTooLarge',
  'helixTooSmall',
  'holdersMissing',
  'inspectionEmpty',
  'instrumentNameMissing',
  'latitudeTooLarge',
  'latitudeTooSmall',
  'leakLimitTooLarge',
  'leakLimitTooSmall',
  'lengthNegative',
  'lengthNotWhole',
  'limitNotPositive',
  'limitNotWhole',
  'limitsNameMissing',
  'limitTooLarge',
  'linePointsMissing',
  'linkLossNegative',
  'linkLossTooLarge',
  'longitudeTooLarge',
  'longitudeTooSmall',
  'lossNotWhole',
  'lossTooLarge',
  'minutesNegative',
  'modeFieldNotWhole',
  'modeFieldTooLarge',
  'modeFieldTooSmall',
  'nameMissing',
  'nameTooLong',
  'negative',
  'noSuchLaser',
  'notDate',
  'notEmail',
  'noTensionReasonMissing',
  'notHttpAddress',
  'notPin',
  'notSha256',
  'notUtcTime',
  'notUuid7',
  'notWhole',
  'orderSourceMissing',
  'outOfRange',
  'over200M',
  'over200Trays',
  'over20M',
  'over24Places',
  'over24SparePlaces',
  'over500Mm',
  'over5M',
  'over96Places',
  'overADay',
  'overFourHours',
  'overTenMinutes',
  'overTwoHours',
  'partNameMissing',
  'passwordTooLong',
  'passwordTooShort',
  'personMissing',
  'photoTooLarge',
  'placesMissing',
  'planTooLong',
  'portNameMissing',
  'portsMissing',
  'portTakesNothing',
  'portWithoutSeals',
  'powerNotWhole',
  'powerOrLoss',
  'powerTooHigh',
  'powerTooLow',
  'pressureNotWhole',
  'pressureStepTooLarge',
  'pressureStepTooSmall',
  'programNameMissing',
  'programsMissing',
  'pulseTooLong',
  'pulseTooShort',
  'rangeBackwards',
  'rangesGap',
  'rangesOverlap',
  'reasonMissing',
  'reasonTooLong',
  'recordOrPlaceMissing',
  'recordWithoutFibers',
  'reelNumberMissing',
  'reopeningReasonMissing',
  'repairMissing',
  'ribbonSizeWrong',
  'ribbonsLeftOver',
  'ringCutMissing',
  'schemeIdWrong',
  'schemeMissing',
  'schemeNameMissing',
  'sealNameMissing',
  'seenFiberWrong',
  'setAsideReasonMissing',
  'shareNegative',
  'shareOver100',
  'shareOver90',
  'signatureMissing',
  'sourceMissing',
  'spliceLimitMissing',
  'splitterLossTooLarge',
  'splitterOutputsWrong',
  'stepKeyWrong',
  'stepTwice',
  'stepWordsMissing',
  'supersedesItself',
  'takenBackMissing',
  'tapHasTwoOutputs',
  'tapOutside',
  'targetOverLimit',
  'temperatureStepTooLarge',
  'temperatureStepTooSmall',
  'timeOutside',
  'timeZoneUnknown',
  'tooCold',
  'tooHot',
  'torqueOutside',
  'tracePlacePartial',
  'traitNotClosing',
  'trayBelowOne',
  'tryIdWrong',
  'under100Mm',
  'under1Mm',
  'underASecond',
  'waiverReasonMissing',
  'wavelengthMissing',
  'wavelengthsTooMany',
  'wavelengthTooLong',
  'wavelengthTooShort',
  'wavelengthTwice',
  'windowUnderTenMinutes',
] as const;

export type SchemaCode = (typeof SCHEMA_CODES)[number];

/** A code in the place of Zod's message; the words are in `packages/text`. */
export const issue = (code: SchemaCode): SchemaCode => code;

/** What a schema refuses, as data. `field` is the last name of its place in the input. */
export type IssueMessage =
  | { code: 'rangesOverlap' | 'rangesGap'; endMm: number }
  | { code: 'spliceLimitMissing'; grade: string }
  | { code: 'colourTwice'; word: string; place: number }
  | { code: 'figureUnknown'; figure: string; known: string }
  | { code: 'stepTwice'; step: string }
  | { code: 'countNotWhole' | 'countTooSmall'; field: string }
  | { code: 'countTooLarge'; field: string; maximum: number }
  | { code: 'atLeast'; minimum: number }
  | { code: 'atMost' | 'nameTooLong'; maximum: number }
  | { code: PlainCode }
  | { code: 'wrongType'; expected: string }
  | { code: 'tooSmall'; of: string; minimum: number }
  | { code: 'tooLarge'; of: string; maximum: number }
  | { code: 'wrongFormat'; format: string }
  | { code: 'notOneOf'; values: string }
  | { code: 'unknownKeys'; keys: string }
  | { code: 'noKindFits' | 'notAccepted' };

type PlainCode = Exclude<
  SchemaCode,
  | 'rangesOverlap'
  | 'rangesGap'
  | 'spliceLimitMissing'
  | 'colourTwice'
  | 'figureUnknown'
  | 'stepTwice'
  | 'countNotWhole'
  | 'countTooSmall'
  | 'countTooLarge'
  | 'atLeast'
  | 'atMost'
  | 'nameTooLong'
>;

/** Messages that tell which count is meant. */
const NAMES_FIELD: ReadonlySet<SchemaCode> = new Set([
  'countNotWhole',
  'countTooSmall',
  'countTooLarge',
]);

const isOurs = (message: string): message is SchemaCode =>
  (SCHEMA_CODES as readonly string[]).includes(message);

/**
 * What a schema refuses, as data; null where a caller added an issue in words of its own. Checks of a schema say
 * theirs by `issue`: Zod's messages are not told from a caller's.
 */
export function issueMessage(raw: SchemaIssue): IssueMessage | null {
  const { message, path, ...rest } = raw;
  if (isOurs(message)) {
    const { minimum, maximum, params } = rest as Record<string, unknown>;
    return {
      code: message,
      ...(NAMES_FIELD.has(message) && { field: String(path.at(-1)) }),
      ...(minimum !== undefined && { minimum }),
      ...(maximum !== undefined && { maximum }),
      ...(params as object | undefined),
    } as IssueMessage;
  }
  switch (raw.code) {
    case 'invalid_type':
      return { code: 'wrongType', expected: raw.expected };
    case 'too_small':
      return { code: 'tooSmall', of: raw.origin, minimum: Number(raw.minimum) };
    case 'too_big':
      return { code: 'tooLarge', of: raw.origin, maximum: Number(raw.maximum) };
    case 'invalid_format':
      return { code: 'wrongFormat', format: raw.format };
    case 'invalid_value':
      return { code: 'notOneOf', values: raw.values.map(String).join(', ') };
    case 'unrecognized_keys':
      return { code: 'unknownKeys', keys: raw.keys.join(', ') };
    case 'invalid_union':
      return { code: 'noKindFits' };
    case 'custom':
      return null;
    default:
      return { code: 'notAccepted' };
  }
}
