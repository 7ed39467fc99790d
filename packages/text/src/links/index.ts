import type { LinkCause, LinkListMessage, MeterProblem } from '@cordel/core';
import { catalog } from '../catalog.ts';

const meter = {
  typeFigure: 'Enter the meter reading.',
  tooManyDecimals: 'Three decimals at most.',
  noReference: 'Without a reference it is no loss: take the reference first.',
  noFigure: '“{text}” is no figure.',
  dbmForDb: 'A loss below zero: this is a power. Is the meter set to dBm?',
  dbForDbm:
    'This is far more light than the reference of {reference}: it is a loss. Is the meter set to dB?',
  overReference:
    '{gain} more light than the reference: a link gives none. Clean the cords and take the reference anew.',
  lossTooLarge: '{loss} is over {most}: no light is left to be measured. Check the minus sign.',
} as const;

/** Why what a meter shows cannot be taken. */
export const meterProblemText = catalog<MeterProblem>()(meter);

/** What is wrong in a row of a list of link measurements. */
export const linkListText = catalog<LinkListMessage>()({
  ...meter,
  columnUnmatched: 'Which column holds “{title}”?',
  cableUnknown: 'The project has no cable “{name}”.',
  fiberUnknown: '“{text}” is no fiber: a number from 1 to {most}.',
  directionUnknown: 'Where is the source? Write {from}, {to}, AB or BA.',
  noWavelength: '“{text}” is no wavelength: a number from 600 to 1700 nm.',
  noDate: '“{text}” is no date: write year-month-day, such as 2026-05-04.',
  instrumentMissing: 'Name the source and the meter of the reference.',
  nothingMeasured: 'The row has no figure: a loss, a power or a return loss.',
});

/** What is likely where a link and its parts disagree. */
export const linkCauseText = catalog<LinkCause>()({
  elsewhere: 'The wrong fiber: its light comes out at the port of fiber {fiber}.',
  noLight: 'No light came through: a break, a port not connected, or the wrong fiber.',
  reflection:
    'A reflection: the return loss of {returnLoss} at {wavelengthNm} nm is less than fiber alone gives. Clean and inspect the connectors; look for UPC mated with APC.',
  bend: 'Likely a bend: {more} more at {longNm} nm than at {shortNm} nm. Look at slack, trays and cords before a splice is broken.',
  wrongFiber:
    'Likely the wrong fiber: it loses {more, select, true {more} other {less}} as {more, select, true {a longer} other {a shorter}} fiber would. Check it by light.',
  break: 'Likely a break or the wrong fiber: {excess} more than its parts. Shoot it with an OTDR.',
  oneEnd:
    'Directions differ by {difference} at {wavelengthNm} nm: likely a dirty connector or cord at one end, or one of the references.',
  connector:
    'Likely a connector at an end: {excess} more than traces, which do not see the ends. Inspect and clean both.',
  connectorOrSplice:
    'A connector or a splice: {excess} more than its parts, alike at all wavelengths. Clean the ends, then shoot it both ways.',
  reference:
    'Likely the reference: {less} less than the parts can lose. Clean the cords and take it anew.',
  calibrationExpired: 'The calibration of {meter} counted until {until}.',
});
