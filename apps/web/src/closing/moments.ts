/** A moment as it is read: day and minute, of where the reader is. */
export const momentOf = (at: string): string =>
  new Date(at).toLocaleString([], {
    year: 'numeric',
    month: 'short',
    day: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  });
