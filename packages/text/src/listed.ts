import { fill } from './fill.ts';

/** Names one after another: `tray 3, tray 4 and 7 more`. */
export function listed({
  items,
  most = Infinity,
}: {
  items: readonly string[];
  most?: number | undefined;
}): string {
  const more = items.length - most;
  return more > 0
    ? fill('{names} and {more} more', { names: items.slice(0, most).join(', '), more })
    : items.join(', ');
}
