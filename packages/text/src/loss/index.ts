import type { SpliceReason, TriesMessage } from '@cordel/core';
import { type WithText, catalog } from '../catalog.ts';
import { gradeText } from './states.ts';

const tries = {
  tries: '{used} of {most} attempts used.',
  triesUsedUp: '{used} of {most} attempts used: needs the lead.',
  triesPast: '{used} attempts made, {most} allowed: needs the lead.',
} as const;

export * from './states.ts';

/** How many attempts a splice has had. */
export const triesText = catalog<TriesMessage>()(tries);

const direction = (name: string): string => `{${name}, select, AB {A to B} other {B to A}}`;

const capital = (text: string): string => text.replace(/^./, (letter) => letter.toUpperCase());

const reasons = catalog<WithText<SpliceReason, 'grade'>>()({
  dead: 'Marked dead by {by}: {why}',
  skip: 'Skipped by {by}: {why}',
  redo: 'Sent to redo by {by}: {why}',
  waive: 'Accepted by {by}: {why}',
  over: '{grade} {loss} is over {limit}.',
  overAt: '{grade} {loss} at {wavelengthNm} nm is over {limit}.',
  bend: '{longNm} nm is {excess} above {shortNm} nm: look for a bend before breaking the splice.',
  jointItself: 'All wavelengths alike: the splice itself.',
  faceFailed: 'The end face fails: clean it and look again, or make the end anew.',
  noLight: 'No light comes through: the wrong fiber, a break or a bad end.',
  needsLight: 'To be proven: light through it, or its loss by a meter.',
  needsFace: 'To be proven: its end face under the microscope.',
  needsLightAndFace: 'To be proven: light through it, and its end face under the microscope.',
  directionsDiffer:
    `Directions differ by {difference} at {wavelengthNm} nm, ${direction('low')} low: mode-field mismatch. Only the average counts.` as string,
  oneWayGain:
    `A one-way gain of {loss} at {wavelengthNm} nm is not a gain: measure ${direction('measure')}.` as string,
  oneWayHigh:
    `One-way {loss} at {wavelengthNm} nm is high: measure ${direction('measure')} before a redo.` as string,
  ...tries,
});

/** Why a splice stands as it does. */
export const spliceReasonText = (reason: SpliceReason): string =>
  reasons('grade' in reason ? { ...reason, grade: capital(gradeText(reason.grade)) } : reason);
