import type {
  AskReason,
  PassReason,
  RecordDoubt,
  RecordFileMessage,
  SplicerError,
} from '@cordel/core';
import { catalog } from '../catalog.ts';
import { numberProblemText } from '../measure/index.ts';
import { phrases } from '../phrases.ts';
import { issueText } from '../record/issue.ts';

/** What of a splicer's record cannot be as it stands. */
export const recordDoubtText = catalog<RecordDoubt>()({
  noEstimate:
    '{fiber, plural, =0 {} other {Fiber {fiber}: }}{loss} is not an estimate of a splice: it does not count. Type what the screen shows.',
  clockBehind: 'The clock of the splicer is {by} behind: the time it came in counts.',
  clockAhead: 'The clock of the splicer is {by} ahead: the time it came in counts.',
  meantFahrenheit: '{figure} C is hotter than any site: it is taken as {figure} F, {celsius} C.',
  noWeather: '{figure} C is outside what any site has: it does not count.',
});

/** What to do when a splicer stops or complains (common practice, no source). */
export const splicerErrorText = phrases({
  'fiber too long': 'Fiber too long: cleave shorter, or load further back.',
  'past center': 'Fiber past the center: load again, short of the electrodes.',
  'cleave angle': 'Cleave angle high: cleave that side again before it costs an arc and a sleeve.',
  chip: 'Chip on the end: cleave again; if it comes back, turn the blade.',
  dirt: 'Dirt seen: wipe the fiber, brush the groove, load again.',
  offset: 'Offset large: reseat the fiber; clean the grooves.',
  'not in groove': 'A fiber lies outside its groove: lift, comb and seat the ribbon again.',
  gap: 'Gap wrong: reset and load again.',
  tension: 'Tension test failed: the splice is broken. Cut back and splice it again.',
  heater: 'The heater stopped: check its program against the sleeve.',
} satisfies Record<SplicerError, string>);

/** Why a record passes by the bench. */
export const passReasonText = phrases({
  counted: 'It counts already.',
  otherSplicer: 'It comes from another splicer than that of this bench.',
} satisfies Record<PassReason, string>);

/** Why a person has to choose where a record belongs. */
export const askReasonText = catalog<AskReason>()({
  nothingInHand: 'Nothing is in hand: choose the splice it belongs to.',
  secondRecord: 'It is a second record for the splice in hand: was it spliced again?',
  otherLabel: 'It is labeled “{label}”, and this is {closure}.',
  cameLate: 'It is number {number}, older than number {last}, which counts already: it came late.',
  otherCount:
    'It has {fibers, plural, one {one fiber} other {# fibers}}, and {inHand, plural, one {one is} other {# are}} in hand.',
});

type WordedFile =
  | Exclude<RecordFileMessage, { code: 'invalid' | 'noFigure' }>
  | { code: 'noFigure'; text: string; problem: string };

const recordFile = catalog<WordedFile>()({
  lineCut: 'The line is cut off or not JSON: send the file again.',
  numberMissing: 'The running number of the splice is missing: a whole number.',
  holderPlaces: 'A holder has places 1 to 12.',
  columnUnmatched: 'No column is matched to “{title}”: choose the one that holds it.',
  fiberTwice: 'Number {number} has fiber {fiber} already: it stands there twice.',
  noFigure: '“{text}” is not a figure. {problem}',
  unknownError: '“{text}” is not an error that is known: {known}.',
  noTime: '“{text}” is not a time: write it as 2026-05-04T20:15:00Z.',
});

/** What is wrong in a line of a splicer's file. */
export function recordFileText(message: RecordFileMessage): string {
  if (message.code === 'invalid') return issueText(message.issue);
  return recordFile(
    message.code === 'noFigure'
      ? { ...message, problem: numberProblemText(message.problem) }
      : message,
  );
}
