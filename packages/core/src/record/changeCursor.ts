/** A place among a project's changes: after one, and before the next. */
export interface ChangeCursor {
  /** The transaction that wrote it. */
  xact: bigint;
  seq: number;
}

const WRITTEN = /^(\d{1,19})-(\d{1,15})$/;

/** As it stands in an answer. */
export const cursorText = ({ xact, seq }: ChangeCursor): string => `${xact}-${seq}`;

/** A cursor from its text; null where it is none. */
export function readCursor(text: string): ChangeCursor | null {
  const match = WRITTEN.exec(text);
  return match && { xact: BigInt(match[1]!), seq: Number(match[2]) };
}

export const cursorOf = ({ xact, seq }: { xact: string; seq: string }): ChangeCursor => ({
  xact: BigInt(xact),
  seq: Number(seq),
});

/** Whether a place is behind another. */
export const isCursorAfter = (a: ChangeCursor, b: ChangeCursor): boolean =>
  a.xact === b.xact ? a.seq > b.seq : a.xact > b.xact;
