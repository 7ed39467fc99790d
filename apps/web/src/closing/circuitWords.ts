import type { CutOverCircuit } from '@cordel/core/close';

/**
 * How long a circuit was to be down, and is or was.
 * @param clock shows ms since 1970
 */
export function circuitWords(
  { planned, downAt, upAt, minutes }: CutOverCircuit,
  clock: (ms: number) => string,
): string {
  const since = downAt && clock(Date.parse(downAt));
  if (since === null) return `${planned} min planned`;
  if (upAt === null || minutes === null) return `down since ${since}, ${planned} min planned`;
  const over = minutes - planned;
  return `down ${since} to ${clock(Date.parse(upAt))}, ${minutes} min; ${planned} planned${over > 0 ? `, ${over} over` : ''}`;
}
