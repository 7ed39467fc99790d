import type { CutOverCircuit } from '@cordel/core/close';
import { clockOf } from './moments';

/** How long a circuit was to be down, and is or was. */
export function circuitWords({ planned, downAt, upAt, minutes }: CutOverCircuit): string {
  const since = downAt && clockOf(new Date(downAt));
  if (since === null) return `${planned} min planned`;
  if (upAt === null || minutes === null) return `down since ${since}, ${planned} min planned`;
  const over = minutes - planned;
  return `down ${since} to ${clockOf(new Date(upAt))}, ${minutes} min; ${planned} planned${over > 0 ? `, ${over} over` : ''}`;
}
