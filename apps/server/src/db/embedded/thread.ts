import { parentPort, workerData } from 'node:worker_threads';
import { openFolderEngine } from './engine.ts';
import type { FromEngine, ToEngine } from './messages.ts';

/** Runs the embedded database on a thread of its own: a long statement holds up nobody but other statements. */
const port = parentPort!;
const say = (message: FromEngine) => port.postMessage(message);

/** Pieces of an answer go out together, up to so many bytes. */
const LARGEST = 128 * 1024;

const engine = await openFolderEngine((workerData as { folder: string }).folder, {
  // Ends this thread only.
  onAbort: () => process.exit(1),
});

async function answer(messages: Uint8Array): Promise<void> {
  let pieces: Uint8Array[] = [];
  let size = 0;
  const flush = () => {
    if (size > 0) say({ kind: 'piece', bytes: Buffer.concat(pieces) });
    pieces = [];
    size = 0;
  };
  await engine.answer(messages, (piece) => {
    pieces.push(piece);
    size += piece.length;
    if (size >= LARGEST) flush();
  });
  flush();
  say({ kind: 'answered' });
}

/** An error ends the thread: the database is opened anew, from what is on the disk. */
function fail(error: unknown): void {
  setImmediate(() => {
    throw error;
  });
}

port.on('message', (message: ToEngine) => {
  if (message.kind === 'answer') answer(message.messages).catch(fail);
  else if (message.kind === 'sync')
    engine.synced().then(() => say({ kind: 'synced', id: message.id }), fail);
  else
    engine.close().then(() => {
      say({ kind: 'closed' });
      port.close();
    }, fail);
});
say({ kind: 'ready' });
