import { join } from 'node:path';
import { type MessagePort, parentPort, workerData } from 'node:worker_threads';
import { pino } from 'pino';
import { createApi } from '../app.ts';
import { openByPort, openServer } from '../db/client.ts';
import { EngineStopped } from '../db/embedded/portEngine.ts';
import { roomOn } from '../disk/room.ts';
import type { FromHeavy, HeavyTask, PlainRequest, ToHeavy } from './messages.ts';

/** The same API once more, on a thread for what takes long: nobody who records waits for it. */
const starter = parentPort!;
const say = (message: FromHeavy) => starter.postMessage(message);
const { url, folder, reserve, logLevel, owner, origin } = workerData as HeavyTask;

let gotPort: ((port: MessagePort | null) => void) | null = null;
const askPort = async (): Promise<MessagePort> => {
  const port = await new Promise<MessagePort | null>((resolve) => {
    gotPort = resolve;
    say({ kind: 'port' });
  });
  if (!port) throw new EngineStopped('The embedded database stopped');
  return port;
};

const open = url ? openServer(url, null) : openByPort(askPort, null);
if (!url)
  void open.then(
    ({ notices }) => notices.listen((projectId) => say({ kind: 'notice', projectId })),
    () => undefined,
  );
const app = open.then((database) =>
  createApi({
    ...database,
    log: pino({ level: logLevel }),
    folder: join(folder, 'packages'),
    room: roomOn(folder, reserve),
    owner,
    origin,
  }),
);
const stopping = new Map<number, AbortController>();
const bodies = new Map<number, ReadableStreamDefaultController<Uint8Array>>();
/** For how many pieces of each answer there is room. */
const room = new Map<number, number>();
/** What goes on once there is room for the next piece of an answer. */
const paused = new Map<number, () => void>();

async function answer(id: number, { method, path, headers, hasBody }: PlainRequest): Promise<void> {
  const stop = new AbortController();
  stopping.set(id, stop);
  // At once: its pieces may come while the thread still starts.
  const body = hasBody ? { body: bodyOf(id), duplex: 'half' } : {};
  const response = await (
    await app
  ).fetch(
    new Request(`http://localhost${path}`, {
      method,
      headers,
      signal: stop.signal,
      ...body,
    } as RequestInit),
  );
  say({ kind: 'head', id, status: response.status, headers: [...response.headers] });
  if (response.body)
    for await (const bytes of response.body) {
      // Who reads slowly is not sent more than they have room for.
      await new Promise<void>((resolve) => {
        paused.set(id, resolve);
        if (stop.signal.aborted || (room.get(id) ?? 0) > 0) resolve();
      });
      paused.delete(id);
      if (stop.signal.aborted) break;
      room.set(id, (room.get(id) ?? 0) - 1);
      say({ kind: 'piece', id, bytes });
    }
  say({ kind: 'end', id });
  stopping.delete(id);
  room.delete(id);
  bodies.delete(id);
}

/** A request's body as it comes: a piece is asked for when somebody reads. */
const bodyOf = (id: number): ReadableStream<Uint8Array> =>
  new ReadableStream(
    {
      start: (controller) => void bodies.set(id, controller),
      pull: () => say({ kind: 'want', id }),
    },
    { highWaterMark: 0 },
  );

starter.on('message', (message: ToHeavy) => {
  switch (message.kind) {
    case 'request':
      void answer(message.id, message.request);
      return;
    case 'cancel':
      stopping.get(message.id)?.abort();
      bodies.get(message.id)?.error(new Error('The client left.'));
      bodies.delete(message.id);
      paused.get(message.id)?.();
      return;
    case 'body':
      bodies.get(message.id)?.enqueue(message.bytes);
      return;
    case 'body end':
      bodies.get(message.id)?.close();
      bodies.delete(message.id);
      return;
    case 'more':
      room.set(message.id, (room.get(message.id) ?? 0) + 1);
      paused.get(message.id)?.();
      return;
    case 'port':
      gotPort?.(message.port);
      return;
    case 'no port':
      gotPort?.(null);
  }
});
