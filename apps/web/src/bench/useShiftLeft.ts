import { useEffect, useState } from 'react';
import { usePersisted } from '@/data/storage';

/** A window that closed longer ago was another night's, ms. */
const STALE = 12 * 3_600_000;

/** Seconds until the window of the shift closes, to the half minute; null where no shift is under way. */
export function useShiftLeft(projectId: string): number | null {
  const [text] = usePersisted(`cordel.shift.end.${projectId}`, '');
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (text === '') return;
    const timer = setInterval(() => setNow(Date.now()), 30_000);
    return () => clearInterval(timer);
  }, [text]);
  const ends = Date.parse(text);
  return Number.isNaN(ends) || ends < now - STALE ? null : Math.max(0, (ends - now) / 1000);
}
