import type { Change } from '../feed/feed.ts';
import { Overlay } from './overlay.ts';
import type { Snapshot } from './snapshot.ts';

/** A snapshot with what others appended to it: closing entries of its closure, links of its project. */
export function withChanges<Base extends Snapshot>(base: Base, changes: readonly Change[]): Base {
  const rows = new Overlay(base);
  for (const change of changes)
    if (change.kind === 'closing' && rows.isAt(change.entry.closureId))
      rows.append('closing', [change.entry]);
    else if (change.kind === 'link' && rows.isOf(change.entry.projectId))
      rows.append('links', [change.entry]);
  return rows.result();
}
