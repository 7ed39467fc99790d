import { stat } from 'node:fs/promises';
import { setTimeout as sleep } from 'node:timers/promises';
import { type FSWatcher, watch } from 'chokidar';
import type { WatchEvent } from '@cordel/text/otdr/watch';
import { RETRY_MS } from './server.ts';

const TRACE_FILE = /\.(sor|trc|msor)$/i;
/** A file is looked at once it has not grown for so long, ms: instruments write slowly. */
const WHOLE_MS = 1000;
const LOOK_MS = 300;
/** Waits until a folder is there, or it is told to stop. */
export async function untilThere(
  folder: string,
  tell: (event: WatchEvent) => void,
  signal: AbortSignal,
): Promise<void> {
  const isThere = () =>
    stat(folder).then(
      (found) => found.isDirectory(),
      () => false,
    );
  if (await isThere()) return;
  tell({ code: 'folderGone', folder });
  while (!(await isThere()))
    try {
      await sleep(RETRY_MS[0], undefined, { signal });
    } catch {
      return;
    }
  tell({ code: 'folderBack', folder });
}

/** Watches until the folder is gone, or it is told to stop. */
export async function whileThere(
  folder: string,
  found: (path: string) => void,
  signal: AbortSignal,
): Promise<void> {
  // Shared and removable drives send no notices: they are looked at.
  const watcher: FSWatcher = watch(folder, {
    usePolling: true,
    interval: LOOK_MS,
    depth: 3,
    awaitWriteFinish: { stabilityThreshold: WHOLE_MS, pollInterval: LOOK_MS },
  });
  const onFile = (path: string) => {
    if (TRACE_FILE.test(path)) found(path);
  };
  watcher.on('add', onFile).on('change', onFile);
  while (!signal.aborted) {
    await sleep(RETRY_MS[0], undefined, { signal }).catch(() => undefined);
    if (!(await stat(folder).catch(() => null))) break;
  }
  await watcher.close();
}
