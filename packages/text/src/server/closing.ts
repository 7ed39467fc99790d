import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/closing`. */
export const closingProblems = problems({
  twoPeople:
    '{by} has signed as the other already: in this project the technician and the lead who sign are two people.',
  hardwareMissing: 'Choose the closure’s hardware first: its sheet gives the limit.',
  circuitUnknown: '{circuit} is no circuit of this cut-over.',
  pressureOverLimit:
    '{name} is tested with {limit} at most: {asked} is above it. Release pressure, and begin again.',
  notReadyToSign: 'It cannot be signed yet. {blocks}',
  beforePressurized:
    'It is from {at}, before it was pressurized, {pressurizedAt}. Check the clock of the device.',
  beforeVisit:
    'It is from {at}, before this visit began, {begunAt}. Check the clock of the device, and record it anew.',
  visitSigned:
    '{by} signed this visit, {signedAt}: what is signed stays as it is. Open a new visit to go on.',
  closureChanged: 'The closure changed meanwhile: check it again, then sign.{changes}',
  otherClosure: 'The entry belongs to another closure.',
  pressureReleased:
    'The pressure was released, {releasedAt}: nothing is read of it after that. Begin another test.',
  cutOverUnknown: 'There is no such cut-over at this closure.',
  roundUnknown: 'There is no such round of a pressure test at this closure.',
  notAJpeg: 'This is no whole JPEG picture: take the photo again, or choose another file.',
});
