import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/traces/import/useTraceImport.ts`. */
export const useTraceImport = phrases({
  beingRead: 'Being read …',
  itWasHereAlready: 'It was here already.',
  noTraceFilesAreAmongThese: 'No trace files are among these: they end in .sor.',
  stoppedWhatIsLeftWaitsHere: 'Stopped. What is left waits here.',
  theSameContentAsAnotherFile: 'The same content as another file of these.',
  theSameContentWasImportedBefore: 'The same content was imported before.',
  traceName: 'Trace {name}',
});
