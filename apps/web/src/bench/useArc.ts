import { useEffect, useMemo, useState } from 'react';
import { type Air, type ArcStanding, arcStanding, countedTemperature } from '@cordel/core';
import { useProjectView } from '@/projects/context';
import type { Station } from './useStation';

const NO_AIR: Air = { temperature: null, humidity: null, pressure: null };

/** Whether a splicer's arc is to be checked, by the project's policy. */
export function useArc(
  station: Station,
  splicerId: string | null,
  air: Air = NO_AIR,
): ArcStanding | null {
  const { project } = useProjectView();
  const [minute, setMinute] = useState(() => Math.floor(Date.now() / 60_000));
  useEffect(() => {
    const timer = setInterval(() => setMinute(Math.floor(Date.now() / 60_000)), 60_000);
    return () => clearInterval(timer);
  }, []);
  return useMemo(() => {
    if (splicerId === null || !station.loaded) return null;
    return arcStanding({
      policy: project.practice.arc,
      log: station.log.filter(({ instrumentId }) => instrumentId === splicerId),
      // The moment it came in counts: a splicer's own clock may be off.
      records: station.records
        .filter((record) => record.splicerId === splicerId)
        .map((record) => ({
          ...record,
          at: record.receivedAt,
          temperature: countedTemperature(record),
        })),
      air,
      highFrom: project.limits.splice.estimate.single,
      now: new Date((minute + 1) * 60_000).toISOString(),
    });
  }, [station, splicerId, air, project, minute]);
}
