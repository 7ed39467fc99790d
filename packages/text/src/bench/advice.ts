import type { RedoFigure, RedoReason, Units } from '@cordel/core';
import { type WithText, catalog } from '../catalog.ts';
import { gradeText } from '../loss/states.ts';

const CHANCES = 'another attempt passes with {next}, this one with {now}';

/** Why a redo is advised or not. */
export const redoReasonText = catalog<RedoReason>()({
  noLimit: 'The project sets no limit for this kind of splice.',
  overLine:
    'Estimate {estimate} is over the redo line of {line}. Another attempt passes with {next}.',
  likely: 'Likely to pass: {now}.',
  modeFields:
    'Another attempt passes with {next} only: the mode fields alone cost {floor}, which no redo changes. Tell the lead.',
  noBetter:
    'Another attempt passes with {next} only: this splice has shown no better. Tell the lead.',
  attemptsUsed: `{used} of {most} attempts used; ${CHANCES}.` as string,
  noSlack: `No slack left for a redo; ${CHANCES}.` as string,
  windowCloses: `The window closes before a redo is done; ${CHANCES}.` as string,
  redoHelps: 'Another attempt passes with {next}, this one with {now}.',
});

const figures = catalog<WithText<RedoFigure, 'grade'>>()({
  chances:
    'Chance to pass as it lies: {now}; another attempt: {next}. Accepted by {grade}, at most {limit}.',
  usual:
    'This splicer usually makes {usual} ({estimates} of its own estimates, weighed with {weight} of a usual splicer: {prior}).',
  estimateError:
    'Its estimates are off by about {error} ({measured} measured splices, weighed with {weight} of 0.01 dB).',
  cleave: 'Cleave {degrees} degrees: about {loss} that the picture does not show.',
  modeFields: 'Mode fields: {floor} at least, whatever is done.',
  slack: 'Slack: {left} left, a redo uses {redo}.',
  window: 'Window: {leftMinutes} min left, a redo takes about {redoMinutes} min.',
  failCost:
    'A splice that fails its test counts as {redos} redos. An estimate is not a measured loss.',
});

/** A figure that the advice rests on. */
export const redoFigureText = (figure: RedoFigure, units: Units): string =>
  figures(
    figure.code === 'chances' ? { ...figure, grade: gradeText(figure.grade) } : figure,
    units,
  );
