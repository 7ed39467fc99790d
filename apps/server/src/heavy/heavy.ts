import { existsSync } from 'node:fs';
import { type MessagePort, Worker } from 'node:worker_threads';
import { Problem, toResponse } from '../http/problem.ts';
import type { FromHeavy, HeavyTask, ToHeavy } from './messages.ts';

/** Memory that long work may take, in MB: more ends the thread, and not the server. */
const MEMORY_MB = 1200;

const TOO_LARGE =
  'This is larger than the server has memory for. Nothing was recorded. Split it and send the parts.';
const STOPPED =
  'The server had to stop in the middle of this. Nothing was recorded; send it again.';

interface Asked {
  resolve(response: Response): void;
  /** Where the pieces of the answer go, once its head is there. */
  body: ReadableStreamDefaultController<Uint8Array> | null;
  /** The last piece of its own body is taken, or nobody waits for it any more. */
  onTaken(): void;
}

function newWorker(task: HeavyTask): Worker {
  const built = new URL('./heavy.worker.js', import.meta.url);
  const entry = existsSync(built) ? built : new URL('./thread.source.mjs', import.meta.url);
  return new Worker(entry, {
    workerData: task,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY_MB },
  });
}

/** Answers requests that take long on a thread of their own. */
export class Heavy {
  private readonly task: HeavyTask;
  private readonly port: () => Promise<MessagePort>;
  private worker: Worker | null = null;
  private readonly asked = new Map<number, Asked>();
  private count = 0;

  /** @param port gives a port to the embedded database */
  constructor(task: HeavyTask, port: () => Promise<MessagePort>) {
    this.task = task;
    this.port = port;
  }

  /** Starts the thread ahead of the first long work. */
  warm(): void {
    this.worker ??= this.start();
  }

  async fetch(request: Request): Promise<Response> {
    const { pathname, search } = new URL(request.url);
    const id = ++this.count;
    const worker = (this.worker ??= this.start());
    request.signal.addEventListener('abort', () => this.tell(worker, { kind: 'cancel', id }));
    const response = new Promise<Response>((resolve) =>
      this.asked.set(id, { resolve, body: null, onTaken: () => undefined }),
    );
    const { method, body } = request;
    const headers = [...request.headers];
    const path = `${pathname}${search}`;
    this.tell(worker, {
      kind: 'request',
      id,
      request: { method, path, headers, hasBody: body !== null },
    });
    if (body) void this.send(worker, id, body);
    return response;
  }

  /** Sends a body on, a piece whenever the last one is taken, until it is answered. */
  private async send(
    worker: Worker,
    id: number,
    body: ReadableStream<Uint8Array>,
  ): Promise<void> {
    const reader = body.getReader();
    try {
      for (;;) {
        const { done, value } = await reader.read();
        const asked = this.asked.get(id);
        if (!asked) return;
        if (done) return this.tell(worker, { kind: 'body end', id });
        const taken = new Promise<void>((resolve) => (asked.onTaken = resolve));
        this.tell(worker, { kind: 'body', id, bytes: value });
        await taken;
      }
    } catch {
      // Whoever sent it has left.
      this.tell(worker, { kind: 'cancel', id });
    } finally {
      await reader.cancel().catch(() => undefined);
    }
  }

  async close(): Promise<void> {
    const { worker } = this;
    this.worker = null;
    await worker?.terminate();
  }

  private tell(worker: Worker, message: ToHeavy, transfer: (ArrayBuffer | MessagePort)[] = []) {
    worker.postMessage(message, transfer);
  }

  private start(): Worker {
    const worker = newWorker(this.task);
    worker.on('message', (message: FromHeavy) => this.take(worker, message));
    let outOfMemory = false;
    worker.on('error', (error: NodeJS.ErrnoException) => {
      outOfMemory = error.code === 'ERR_WORKER_OUT_OF_MEMORY';
    });
    worker.on('exit', () => {
      if (this.worker === worker) this.worker = null;
      const problem = outOfMemory ? new Problem(413, TOO_LARGE) : new Problem(503, STOPPED);
      for (const { resolve, body, onTaken } of this.asked.values()) {
        onTaken();
        if (body) body.error(problem);
        else resolve(toResponse(problem));
      }
      this.asked.clear();
    });
    return worker;
  }

  private take(worker: Worker, message: FromHeavy): void {
    if (message.kind === 'port') {
      this.port().then(
        (port) => this.tell(worker, { kind: 'port', port }, [port]),
        () => this.tell(worker, { kind: 'no port' }),
      );
      return;
    }
    const asked = this.asked.get(message.id);
    if (!asked) return;
    switch (message.kind) {
      case 'head': {
        const stream = new ReadableStream<Uint8Array>({
          start: (controller) => {
            asked.body = controller;
          },
          pull: () => this.tell(worker, { kind: 'more', id: message.id }),
          cancel: () => {
            this.asked.delete(message.id);
            asked.onTaken();
            this.tell(worker, { kind: 'cancel', id: message.id });
          },
        });
        return asked.resolve(
          new Response(stream, { status: message.status, headers: message.headers }),
        );
      }
      case 'taken':
        return asked.onTaken();
      case 'piece':
        return asked.body?.enqueue(message.bytes);
      case 'end':
        asked.body?.close();
        this.asked.delete(message.id);
        asked.onTaken();
    }
  }
}
