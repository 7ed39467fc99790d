import { problems } from '../problems.ts';

/** What the server refuses: `apps/server/src/exchange`. */
export const exchangeProblems = problems({
  tooManyRows: 'At most {most} rows.',
  beingImported: '“{name}” is being imported already. Nothing was changed.',
  beingRemoved:
    '“{name}” is being removed, because its import was stopped. Import it again in a minute.',
  fiberUnknown: 'Cable {cable} has no fiber {fiber}.',
  fileDamaged: '{file} is damaged: it is not the file that was exported. Export the project again.',
  otherProject: 'It belongs to another project.',
  branchUnknown: 'It branches off in a circle or from a closure that is not in the document.',
  cableOfOtherProject: 'It names a cable that the project does not have.',
  recordOfOtherProject: 'It names a splicer’s record that the project does not have.',
  traceOfOtherProject: 'It names a trace that the project does not have.',
  attemptUnknown: 'It names an attempt that this splice has not had by then.',
  supersededUnknown: 'It supersedes an entry that is not there by then.',
  placedOnOtherProject: 'It was placed on a cable of another project.',
  simulatedInRealWork:
    'It was simulated, and the project is not marked as practice only. Nothing was imported.',
  fileMissing: 'Its file is not here: base 64 in the JSON, or {path} in the zip.',
  fileTooLarge: 'Its file is over {kilobytes} kB.',
  serverError: 'Something went wrong on the server; nothing of it is kept.',
  bodyTooLarge: 'The body is over {megabytes} MB.',
  contradiction: 'The document contradicts itself: {place}: {detail}',
  idTwice: 'The id is used twice.',
  stopped: 'The import was stopped. Nothing was imported.',
  cutOff: 'The JSON is not complete: it was cut off.',
  schemeUnknown: 'There is no color scheme “{schemeId}”.',
  noDocument: 'There is no {file} in this zip: choose one that was exported as a whole project.',
  endWithoutPorts: 'Only a fiber that ends at ports has an end, and every one does.',
  cableUnknown: 'There is no such cable in the document.',
  closureUnknown: 'There is no such closure in the document.',
  spliceUnknown: 'There is no such splice in the document.',
  notJson: 'This is no JSON: {message}',
  notAZip: 'This is no zip that can be read: it may have been cut off on its way. Save it again.',
  projectHereAlready: 'This project is here already, as “{name}”. Nothing was changed.',
  signedRecordChanged:
    'This record is not what its digest was made of: it was changed after it was signed.',
  tooManyFiles: 'This zip has over {most} entries: it is no project.',
});
