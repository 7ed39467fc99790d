import type { Command } from '../commands/command.ts';
import type { Write } from '../outbox/write.ts';
import { Overlay } from './overlay.ts';
import type { Snapshot } from './snapshot.ts';

/**
 * A snapshot with what waits to be sent laid over it, in the order in which it was made. Nothing given is
 * changed; tables that no write touches are the same ones as before.
 */
export function withWrites<Base extends Snapshot>(
  base: Base,
  writes: readonly Write[],
  commands: ReadonlyMap<string, Command>,
): Base {
  const rows = new Overlay(base);
  for (const { state, command, input } of writes)
    if (state === 'waiting') commands.get(command)?.apply?.(rows, input);
  return rows.result();
}
