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
const { url, folder, reserve, logLevel } = workerData as HeavyTask;

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
const app = open.then((database) =>
  createApi({
    ...database,
    log: pino({ level: logLevel }),
    folder: join(folder, 'packages'),
    room: roomOn(folder, reserve),
  }),
);
const stopping = new Map<number, AbortController>();

async function answer(id: number, { method, path, headers, body }: PlainRequest): Promise<void> {
  const stop = new AbortController();
  stopping.set(id, stop);
  const response = await (
    await app
  ).fetch(
    new Request(`http://localhost${path}`, {
      method,
      headers,
      body: body as Uint8Array<ArrayBuffer> | null,
      signal: stop.signal,
    }),
  );
  say({ kind: 'head', id, status: response.status, headers: [...response.headers] });
  if (response.body)
    for await (const bytes of response.body) {
      if (stop.signal.aborted) break;
      say({ kind: 'piece', id, bytes });
    }
  say({ kind: 'end', id });
  stopping.delete(id);
}

starter.on('message', (message: ToHeavy) => {
  switch (message.kind) {
    case 'request':
      void answer(message.id, message.request);
      return;
    case 'cancel':
      stopping.get(message.id)?.abort();
      return;
    case 'port':
      gotPort?.(message.port);
      return;
    case 'no port':
      gotPort?.(null);
  }
});
