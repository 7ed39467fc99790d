import { type MessagePort, parentPort, workerData } from 'node:worker_threads';
import { openFolderEngine } from './engine.ts';
import type { FromEngine, FromThread, ToEngine, ToThread } from './messages.ts';

/** Runs the embedded database on a thread of its own: a long statement holds up nobody but other statements. */
const starter = parentPort!;
const say = (message: FromThread) => starter.postMessage(message);

/** Pieces of an answer go out together, up to so many bytes. */
const LARGEST = 128 * 1024;

const engine = await openFolderEngine((workerData as { folder: string }).folder, {
  // Ends this thread only.
  onAbort: () => process.exit(1),
});

/** What waits, in the order in which it came. */
const waiting: { client: MessagePort; messages: Uint8Array }[] = [];
/** The client whose transaction is open: the database has one session, and nobody else comes in between. */
let owner: MessagePort | null = null;
let working = false;

async function work(): Promise<void> {
  if (working) return;
  working = true;
  for (;;) {
    const index = owner ? waiting.findIndex(({ client }) => client === owner) : 0;
    const [next] = index < 0 ? [] : waiting.splice(index, 1);
    if (!next) break;
    await answer(next.client, next.messages);
    owner = engine.isInTransaction() ? next.client : null;
  }
  working = false;
}

async function answer(client: MessagePort, messages: Uint8Array): Promise<void> {
  let pieces: Uint8Array[] = [];
  let size = 0;
  const flush = () => {
    if (size > 0)
      client.postMessage({ kind: 'piece', bytes: Buffer.concat(pieces) } satisfies FromEngine);
    pieces = [];
    size = 0;
  };
  await engine.answer(messages, (piece) => {
    pieces.push(piece);
    size += piece.length;
    if (size >= LARGEST) flush();
  });
  flush();
  client.postMessage({ kind: 'answered' } satisfies FromEngine);
}

/** An error ends the thread: the database is opened anew, from what is on the disk. */
function fail(error: unknown): void {
  setImmediate(() => {
    throw error;
  });
}

function take(client: MessagePort): void {
  client.on('message', (message: ToEngine) => {
    if (message.kind === 'sync')
      return engine
        .synced()
        .then(
          () => client.postMessage({ kind: 'synced', id: message.id } satisfies FromEngine),
          fail,
        );
    waiting.push({ client, messages: message.messages });
    work().catch(fail);
  });
  client.on('close', () => {
    for (let index = waiting.length - 1; index >= 0; index--)
      if (waiting[index]!.client === client) waiting.splice(index, 1);
    if (owner !== client) return;
    // It left in the middle of a transaction: nothing of it is done.
    engine
      .rollback()
      .then(() => {
        owner = null;
        return work();
      })
      .catch(fail);
  });
}

starter.on('message', (message: ToThread) => {
  if (message.kind === 'client') return take(message.port);
  engine.close().then(() => {
    say({ kind: 'closed' });
    process.exit(0);
  }, fail);
});
say({ kind: 'ready' });
