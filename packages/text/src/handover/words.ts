import { phrases } from '../phrases.ts';

/** Texts of `apps/server/src/handover/make/words.ts`. */
export const words = phrases({
  practiceOnlyFiguresMayBeSimulated: 'PRACTICE ONLY: figures may be simulated, not measured',
  theDiskIsFullFreeSome:
    'The disk is full. Free some room and make the package again; nothing half-made is left.',
  thePackageCouldNotBeMade: 'The package could not be made: {message}',
  theRecordCouldNotBeRead:
    'The record could not be read for the package. Make it again; the server’s log says why.',
  theServerMayNotWriteInto:
    'The server may not write into its data folder: see to its rights, then make the package again.',
});
