import { existsSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import type { Engine } from './engine.ts';
import type { FromEngine, ToEngine } from './messages.ts';

/** The embedded database had to stop; it starts anew with the next statement. */
export class EngineStopped extends Error {
  override name = 'EngineStopped';
}

/** Its own bundle where the server is built, its source in benches. */
function newWorker(folder: string): Worker {
  const built = new URL('./database.worker.js', import.meta.url);
  const entry = existsSync(built) ? built : new URL('./thread.source.mjs', import.meta.url);
  return new Worker(entry, { workerData: { folder } });
}

/**
 * Starts the embedded database of a folder on a thread of its own.
 * @param onStop told when it ends without having been closed
 */
export async function startThreadEngine(folder: string, onStop: () => void): Promise<Engine> {
  const worker = newWorker(folder);
  const tell = (message: ToEngine) => worker.postMessage(message);
  const syncs = new Map<number, Waiting>();
  let ready: Waiting | null = null;
  let answering: (Waiting & { onPiece(piece: Uint8Array): void }) | null = null;
  let closing: Waiting | null = null;
  let failure: Error | null = null;
  let count = 0;
  let line: Promise<unknown> = Promise.resolve();

  worker.on('message', (message: FromEngine) => {
    switch (message.kind) {
      case 'ready':
        return ready?.resolve();
      case 'piece':
        return answering?.onPiece(message.bytes);
      case 'answered':
        answering?.resolve();
        answering = null;
        return;
      case 'synced':
        syncs.get(message.id)?.resolve();
        syncs.delete(message.id);
        return;
      case 'closed':
        return closing?.resolve();
    }
  });
  let cause: Error | null = null;
  worker.on('error', (error: Error) => (cause = error));
  worker.on('exit', () => {
    failure = new EngineStopped('The embedded database stopped', { cause });
    for (const one of [ready, answering, ...syncs.values()]) one?.reject(failure);
    if (closing) closing.resolve();
    else onStop();
  });
  await new Promise<void>((resolve, reject) => (ready = { resolve, reject }));
  return {
    answer: (messages, onPiece) => {
      // One after the other: a client may come before the one that leaves has all of its answer.
      const answered = line.then(
        () =>
          new Promise<void>((resolve, reject) => {
            if (failure) return reject(failure);
            answering = { resolve, reject, onPiece };
            tell({ kind: 'answer', messages });
          }),
      );
      line = answered.catch(() => undefined);
      return answered;
    },
    synced: () =>
      new Promise((resolve, reject) => {
        if (failure) return reject(failure);
        syncs.set(++count, { resolve, reject });
        tell({ kind: 'sync', id: count });
      }),
    close: () =>
      new Promise((resolve, reject) => {
        if (failure) return resolve();
        closing = { resolve, reject };
        tell({ kind: 'close' });
      }),
  };
}

interface Waiting {
  resolve(): void;
  reject(error: Error): void;
}
