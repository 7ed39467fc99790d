import { useMemo } from 'react';
import { type TrayLoss, type Trouble, bentTrays, findTrouble, healthSeries } from '@cordel/core';
import type { BenchSplice } from './benchSplices';
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
  const series = useMemo(() => {
    const records = station.records
      .filter((record) => record.splicerId === splicerId)
      .slice(-BACK)
      .map((record) => ({ ...record, at: record.receivedAt }));
    const log = station.log.filter(
      ({ instrumentId }) => instrumentId === splicerId || instrumentId === cleaverId,
    );
    return healthSeries(records, log);
  }, [station.records, station.log, splicerId, cleaverId]);
  const trouble = useMemo(
    (): Trouble[] => [...findTrouble(series), ...bentTrays(traysOf(splices))],
    [series, splices],
  );
  return { series, trouble };
}

/** Two-way losses of splices at their shortest and longest wavelength. */
function traysOf(splices: readonly BenchSplice[]): TrayLoss[] {
  return splices.flatMap(({ tray, standing }) => {
    const measured = standing.figures
      .filter(({ grade, wavelengthNm }) => grade === 'two-way' && wavelengthNm !== null)
      .sort((a, b) => a.wavelengthNm! - b.wavelengthNm!);
    const [short, long] = [measured[0], measured.at(-1)];
    if (!short || !long || short === long) return [];
    return [{ tray, short: short.half / 2, long: long.half / 2 }];
  });
}
