import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/http`. */
export const httpProblems = problems({
  fiberSplicedAlready:
    'A fiber is spliced in that closure already: a fiber has one splice in a closure.',
  noFigure: 'A figure or an id is none. Nothing was recorded.',
  numberOutOfRange: 'A number is too large or too small to be kept. Nothing was recorded.',
  characterUnkeepable: 'A text holds a character that cannot be kept. Nothing was recorded.',
  timeOutOfRange: 'A time is none that can be kept. Nothing was recorded.',
  clockAhead:
    'It is from {at}, and it is {now} now: the clock of the device is ahead. Set its date and time, then record it anew.',
  hereAlready: 'It is here already.',
  recordUnknown: 'It names a record that is not here.',
  notJson: '{message}. Send JSON.',
  simulatedRecorded:
    'Something simulated is recorded in this project: it stays for practice only. Start a new project for real work.',
  serverError: 'Something went wrong on the server; nothing was written.',
  textTooLong: 'The body has a text that is too long.',
  tooManyEntries: 'The body has too many entries. Split it and send the parts.',
  nestedTooDeep: 'The body has too many lists and objects in one another.',
  bodyTooLarge: 'The body is over {megabytes} MB. Split it and send the parts.',
  notAccepted: 'The input is not accepted.',
  cableNameTaken: 'The project has a cable of that name already: choose another name.',
  closureNameTaken: 'The project has a closure of that name already: choose another name.',
  databaseUnreachable:
    'The server cannot reach its database just now. Nothing was recorded; the same request goes through once it can.',
  diskFull: 'The server’s disk is full. Nothing was recorded.',
  noSuchAddress: 'There is no such address in the API: see /api/openapi.json.',
  notFound: 'There is no such {what}: it may not have been sent yet.',
  projectBeingImported:
    'This project is still being imported. Nothing was recorded; the same request goes through once it is here.',
  textUnkeepable: 'This text holds a character that cannot be kept: type it again.',
  simulatedInRealWork:
    'This was simulated, and the project is for real work: simulated figures are recorded in practice projects only. Nothing was recorded.',
});
