/** What went wrong with a package, in words. */
export function wordsOf(error: Error): string {
  const { code } = error as NodeJS.ErrnoException;
  if (code === 'ENOSPC')
    return 'The disk is full. Free some room and make the package again; nothing half-made is left.';
  if (code === 'EACCES' || code === 'EROFS')
    return 'The server may not write into its data folder: see to its rights, then make the package again.';
  return `The package could not be made: ${error.message}`;
}

/** A moment as the printed record has it. */
export const utc = (at: string): string => `${at.slice(0, 16).replace('T', ' ')} UTC`;

/** What stands on every page of a practice project. */
export const PRACTICE_MARK = 'PRACTICE ONLY: figures may be simulated, not measured';
