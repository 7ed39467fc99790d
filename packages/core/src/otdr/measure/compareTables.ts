import type { TraceEvent } from '../detect/analyse.ts';
import { type SorFile, metersOf } from '../format/sorFile.ts';

/** A row of the instrument's own table. Meters of fiber, dB. */
export interface InstrumentEvent {
  positionM: number;
  lossDb: number;
  /** Null where it does not reflect. */
  reflectanceDb: number | null;
  isEnd: boolean;
  /** As the file has it. */
  code: string;
}

/** What both tables say of a place. */
export interface TableDifference {
  positionM: number;
  found: TraceEvent | null;
  instrument: InstrumentEvent | null;
  /**
   * How they differ: in loss or place, or one of them has nothing there; `untold` where samples cannot tell, so that the
   * instrument's word is all there is.
   */
  kind: 'same' | 'loss' | 'place' | 'onlyFound' | 'onlyInstrument' | 'untold';
  /** By how much, dB: the difference of the losses, or the whole of the one that is there; 0 for ends. */
  byDb: number;
  /** How far the places are apart, m; null with one of them only. */
  apartM: number | null;
}

/** The instrument's own table of a file; empty where it has none. */
export const instrumentEvents = ({ keyEvents, fixed }: SorFile): InstrumentEvent[] =>
  (keyEvents?.events ?? []).map(({ time100ps, lossMdb, reflectanceMdb, code }) => ({
    positionM: metersOf(time100ps, fixed.groupIndex),
    lossDb: lossMdb / 1000,
    // The first sign of a code says whether an event reflects, the second is E at the end (SR-4731, from memory).
    reflectanceDb: code[0] === '0' ? null : reflectanceMdb / 1000,
    isEnd: code[1] === 'E',
    code,
  }));

/** Events this close together are one, m, besides the pulse and what the place is uncertain by. */
const NEAR_M = 40;
/** Tables that differ by less agree, dB: instruments show hundredths. */
const SAME_DB = 0.01;
/** As many deviations make a difference. */
const SURE = 2;

/**
 * Holds what was found in the samples against the instrument's own table, the largest difference first.
 * @param told meters up to which samples say anything; null where they do to the end of the trace
 * @param pulseM meters that a pulse covers
 */
export function compareTables(
  found: readonly TraceEvent[],
  instrument: readonly InstrumentEvent[],
  told: number | null,
  pulseM: number,
): TableDifference[] {
  const pairs = found
    .flatMap((event) =>
      instrument.map((own) => ({ event, own, apartM: Math.abs(event.positionM - own.positionM) })),
    )
    .filter(({ event, apartM }) => apartM <= NEAR_M + pulseM + SURE * event.positionSigmaM)
    .sort((a, b) => a.apartM - b.apartM);
  const [freeFound, freeOwn] = [new Set(found), new Set(instrument)];
  const rows: TableDifference[] = [];
  for (const { event, own, apartM } of pairs) {
    if (!freeFound.has(event) || !freeOwn.has(own)) continue;
    freeFound.delete(event);
    freeOwn.delete(own);
    rows.push(differenceOf(event, own, apartM, pulseM));
  }
  for (const event of freeFound)
    rows.push({
      positionM: event.positionM,
      found: event,
      instrument: null,
      kind: 'onlyFound',
      byDb: Math.abs(event.lossDb ?? 0),
      apartM: null,
    });
  for (const own of freeOwn)
    rows.push({
      positionM: own.positionM,
      found: null,
      instrument: own,
      kind: told !== null && own.positionM > told ? 'untold' : 'onlyInstrument',
      byDb: own.isEnd ? 0 : Math.abs(own.lossDb),
      apartM: null,
    });
  return rows.sort((a, b) => b.byDb - a.byDb || a.positionM - b.positionM);
}

function differenceOf(
  found: TraceEvent,
  instrument: InstrumentEvent,
  apartM: number,
  pulseM: number,
): TableDifference {
  const { positionM, lossDb, sigmaDb } = found;
  const by = lossDb === null || instrument.isEnd ? 0 : Math.abs(lossDb - instrument.lossDb);
  const differs = by > Math.max(SAME_DB, SURE * (sigmaDb ?? 0));
  const isApart = apartM > pulseM + SURE * found.positionSigmaM;
  return {
    positionM,
    found,
    instrument,
    kind: differs ? 'loss' : isApart ? 'place' : 'same',
    byDb: by,
    apartM,
  };
}
