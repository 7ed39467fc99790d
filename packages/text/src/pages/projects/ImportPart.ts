import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/projects/ImportPart.tsx`. */
export const importPart = phrases({
  bytesOfAll: '{bytes} of {all}',
  dismiss: 'Dismiss',
  importingName: 'Importing {name}',
  noAnswer: 'No answer.',
  sendingName: 'Sending {name}',
  stoppingImportedRowsAreBeing: 'Stopping: imported rows are being removed.',
  receivedTheServerIsCheckingIt: 'Received; the server is checking it. It may take a minute.',
});
