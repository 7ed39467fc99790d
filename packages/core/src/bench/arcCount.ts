import type { Evidence } from '../record/evidence.ts';
import type { InstrumentEntry } from '../record/instrumentLog.ts';
import type { SplicerRecord } from '../record/splicerRecord.ts';

/** What is known of a splicer's arcs. */
export interface ArcSources {
  /** What it recorded over its line. */
  records: readonly Pick<SplicerRecord, 'at' | 'arcs'>[];
  /** What was done to it, and what the crew typed of it. */
  log: readonly InstrumentEntry[];
}

/**
 * Arcs on a splicer's electrodes. Its own counter says, where a line brings it or the crew types it; arcs that no
 * record came of count on from there: typed splices, tries that were broken, rounds of calibration. New electrodes
 * begin at what is logged with them.
 * @returns 0 where nothing is known
 */
export function arcCount({ records, log }: ArcSources): number {
  const steps = [
    ...records.map(({ at, arcs }) => ({ at, turn: () => arcs })),
    ...log.flatMap((entry) => {
      const turn = turnBy(entry);
      return turn ? [{ at: entry.at, turn }] : [];
    }),
  ].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
  return steps.reduce((count, { turn }) => turn(count), 0);
}

/** What an entry makes of the count before it; null where it says nothing of arcs. */
function turnBy(entry: InstrumentEntry): ((before: number) => number) | null {
  switch (entry.kind) {
    case 'arcs':
      return (before) => before + entry.count;
    case 'counter':
      return () => entry.arcs;
    case 'electrodes':
      return entry.what === 'replaced' ? () => entry.arcs : null;
    case 'arc check':
      // A round is an arc itself; what was logged with it is what the counter showed then.
      return (before) => Math.max(before + 1, entry.arcs);
    default:
      return null;
  }
}

/** Whether entries that were recorded together tell of an arc that no record of a line came of: a try that was typed. */
export const isTypedArc = (entries: readonly Evidence[]): boolean =>
  entries.some(
    (entry) => entry.type === 'attempt' && entry.recordId === null && entry.supersedes === null,
  );
