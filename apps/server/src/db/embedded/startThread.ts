import { existsSync } from 'node:fs';
import { MessageChannel, type MessagePort, Worker } from 'node:worker_threads';
import type { FromThread, ToThread } from './messages.ts';
import { EngineStopped } from './portEngine.ts';

/** The thread of an embedded database. */
export interface EngineThread {
  /**
   * A port for one client, to be used on any thread.
   * @throws EngineStopped where the thread has ended
   */
  port(): MessagePort;
  close(): Promise<void>;
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
 * @throws EngineStopped where it cannot be opened
 */
export async function startEngineThread(folder: string, onStop: () => void): Promise<EngineThread> {
  const worker = newWorker(folder);
  const tell = (message: ToThread, ports: MessagePort[] = []) => worker.postMessage(message, ports);
  let cause: Error | null = null;
  let closing = false;
  let hasEnded = false;
  worker.on('error', (error: Error) => (cause = error));
  const ended = new Promise<void>((resolve) => worker.on('exit', () => resolve()));
  void ended.then(() => {
    hasEnded = true;
    if (!closing) onStop();
  });
  await Promise.race([
    new Promise<void>((resolve) =>
      worker.on('message', (message: FromThread) => {
        if (message.kind === 'ready') resolve();
      }),
    ),
    ended.then(() => {
      throw new EngineStopped('The embedded database does not start', { cause });
    }),
  ]);
  return {
    port: () => {
      if (hasEnded) throw new EngineStopped('The embedded database stopped', { cause });
      const { port1, port2 } = new MessageChannel();
      tell({ kind: 'client', port: port1 }, [port1]);
      return port2;
    },
    close: () => {
      closing = true;
      tell({ kind: 'close' });
      return ended;
    },
  };
}
