import type { MessagePort } from 'node:worker_threads';
import type { EngineClient } from './engine.ts';
import type { FromEngine, ToEngine } from './messages.ts';

/** The embedded database had to stop; it starts anew with the next statement. */
export class EngineStopped extends Error {
  override name = 'EngineStopped';
}

interface Waiting {
  resolve(): void;
  reject(error: Error): void;
}

/** The embedded database as a client on any thread has it, over a port to its thread. */
export function portEngine(port: MessagePort, onStop: () => void): EngineClient {
  const syncs = new Map<number, Waiting>();
  let answering: (Waiting & { onPiece(piece: Uint8Array): void }) | null = null;
  let failure: Error | null = null;
  let count = 0;
  let line: Promise<unknown> = Promise.resolve();
  const tell = (message: ToEngine) => port.postMessage(message);
  port.on('message', (message: FromEngine) => {
    switch (message.kind) {
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
    }
  });
  port.on('close', () => {
    failure = new EngineStopped('The embedded database stopped');
    for (const one of [answering, ...syncs.values()]) one?.reject(failure);
    onStop();
  });
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
  };
}
