import { useMemo } from 'react';
import {
  type ReceivedRecord,
  type TrayLoss,
  type Trouble,
  bentTrays,
  findTrouble,
  healthSeries,
} from '@cordel/core';
import { type BenchSplice } from '@cordel/core/session';
import type { Station } from './useStation';

/** How far charts look back, in records. */
const BACK = 150;

/** The charts of a splicer, and what they show; trays that bend their fibers are told by what was measured. */
export function useHealth(
  station: Station,
  splicerId: string | null,
  cleaverId: string | null,
  splices: readonly BenchSplice[],
) {
  const takes = useMemo(() => takesOf(splices), [splices]);
  const series = useMemo(() => {
    const records = station.records
      .filter((record) => record.splicerId === splicerId)
      .slice(-BACK)
      .map((record) => ({
        ...record,
        at: record.receivedAt,
        fibers: countedFibers(record, takes),
      }));
    const log = station.log.filter(
      ({ instrumentId }) => instrumentId === splicerId || instrumentId === cleaverId,
    );
    return healthSeries(records, log);
  }, [station.records, station.log, splicerId, cleaverId, takes]);
  const trouble = useMemo(
    (): Trouble[] => [...findTrouble(series), ...bentTrays(traysOf(splices))],
    [series, splices],
  );
  return { series, trouble };
}

/** Places of records that splices took their figures from, by record. */
function takesOf(splices: readonly BenchSplice[]): ReadonlyMap<string, ReadonlySet<number>> {
  const takes = new Map<string, Set<number>>();
  for (const { evidence } of splices)
    for (const entry of evidence)
      if (entry.type === 'attempt' && entry.recordId !== null)
        takes.set(
          entry.recordId,
          (takes.get(entry.recordId) ?? new Set()).add(entry.recordPosition!),
        );
  return takes;
}

/** The fibers of a record that stand for a splice: a dead one that lay beside them says nothing. */
const countedFibers = (
  record: ReceivedRecord,
  takes: ReadonlyMap<string, ReadonlySet<number>>,
): ReceivedRecord['fibers'] => {
  const taken = takes.get(record.id);
  return taken ? record.fibers.filter(({ position }) => taken.has(position)) : record.fibers;
};

/** Two-way losses of splices at their shortest and longest wavelength. */
function traysOf(splices: readonly BenchSplice[]): TrayLoss[] {
  return splices.flatMap(({ tray, spliceState }) => {
    const measured = spliceState.figures
      .filter(({ grade, wavelengthNm }) => grade === 'two-way' && wavelengthNm !== null)
      .sort((a, b) => a.wavelengthNm! - b.wavelengthNm!);
    const [short, long] = [measured[0], measured.at(-1)];
    if (!short || !long || short === long) return [];
    return [{ tray, short: short.lossHalfMdb / 2, long: long.lossHalfMdb / 2 }];
  });
}
