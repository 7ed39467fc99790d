import { words as say } from '@cordel/text/handover/words';
/** What went wrong with a package, in words. */
export function wordsOf(error: Error): string {
  const { code } = error as NodeJS.ErrnoException;
  if (code === 'ENOSPC') return say('theDiskIsFullFreeSome');
  if (code === 'EACCES' || code === 'EROFS') return say('theServerMayNotWriteInto');
  // The database's own message is a statement with its values.
  if ('query' in error) return say('theRecordCouldNotBeRead');
  return say('thePackageCouldNotBeMade', { message: error.message });
}

/** A moment as the printed record has it. */
export const utc = (at: string): string => `${at.slice(0, 16).replace('T', ' ')} UTC`;

/** What stands on every page of a practice project. */
export const PRACTICE_MARK = say('practiceOnlyFiguresMayBeSimulated');
