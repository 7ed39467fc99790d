import type { Change } from '../feed/feed.ts';
import { Overlay } from './overlay.ts';
import type { Snapshot } from './snapshot.ts';

/** A snapshot of a closure with the closing entries that others appended there. */
export function withChanges<Base extends Snapshot>(base: Base, changes: readonly Change[]): Base {
  const rows = new Overlay(base);
  for (const change of changes)
    if (change.kind === 'closing' && rows.isAt(change.entry.closureId))
      rows.append('closing', [change.entry]);
  return rows.result();
}
