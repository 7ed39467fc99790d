import { useSyncExternalStore } from 'react';
import { CLOCK_ERROR_MS } from '@cordel/core';

let offMs = 0;
const listeners = new Set<() => void>();

/** Notes by how much the server's clock is ahead of this device's, by an answer's headers (RFC 9110, section 6.6.1). */
export function noteClock(headers: Headers): void {
  const off = Date.parse(headers.get('date') ?? '') - Date.now();
  if (Number.isNaN(off)) return;
  // To the minute, so that a page is not drawn anew with every answer.
  const next = Math.abs(off) > CLOCK_ERROR_MS ? Math.round(off / 60_000) * 60_000 : 0;
  if (next === offMs) return;
  offMs = next;
  listeners.forEach((listener) => listener());
}

/** By how much the server's clock is ahead of this device's, ms; 0 where they agree, as far as is known. */
export const clockOffNow = (): number => offMs;

export const useClockOff = (): number =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, clockOffNow);
