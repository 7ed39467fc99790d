import { phrases } from '../../phrases.ts';

/** Texts of `apps/web/src/removal/RemovalNotice.tsx`. */
export const removalNotice = phrases({
  archived: 'Archived.',
  deleted: 'Deleted.',
  nameStays: '{name} stays.',
  takenOutOfTheArchive: 'Taken out of the archive.',
  undoName: 'Undo: {name}',
});
