import { phrases } from '../../phrases.ts';

/** Texts that several parts of `apps/web/src/removal` share. */
export const removalShared = phrases({
  archiveItems: 'Archive: {items}',
  archiveName: 'Archive {name}',
  deleteName: 'Delete {name}',
  hideTheArchive: 'Hide the archive',
  nameDeleted: '{name} deleted',
  namePutBack: '{name} put back',
  takeOutOfTheArchive: 'Take {name} out of the archive',
  takenOutOfTheArchive: 'taken out of the archive',
});
