import { existsSync } from 'node:fs';
import { type MessagePort, Worker } from 'node:worker_threads';
import { v7 as uuid } from 'uuid';
import { Problem, toResponse } from '../http/problem.ts';
import type { FromHeavy, HeavyTask, ToHeavy } from './messages.ts';
import { heavyProblems as say } from '@cordel/text/server/heavy';

/** Memory that long work may take, in MB: more ends the thread, and not the server. */
const MEMORY_MB = 1200;

const TOO_LARGE = say('tooLargeForMemory');
const STOPPED = say('stoppedInTheMiddle');

interface Asked {
  resolve(response: Response): void;
  /** Where the pieces of the answer go, once its head is there. */
  body: ReadableStreamDefaultController<Uint8Array> | null;
  /** For how many pieces of its own body it has asked. */
  wanted: number;
  /** It asks for the next piece, or wants none any more. */
  onWant(): void;
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
  private readonly task: Omit<HeavyTask, 'owner'>;
  private readonly port: () => Promise<MessagePort>;
  private readonly onCutOff: (owner: string) => void;
  private readonly onNotice: (projectId: string | null) => void;
  private worker: Worker | null = null;
  private readonly asked = new Map<number, Asked>();
  private count = 0;

  /**
   * @param port gives a port to the embedded database
   * @param onCutOff told the name of a thread that ended in the middle of its work
   * @param onNotice told in which project the thread wrote something; null where it is of all projects
   */
  constructor(
    task: Omit<HeavyTask, 'owner'>,
    port: () => Promise<MessagePort>,
    onCutOff: (owner: string) => void,
    onNotice: (projectId: string | null) => void,
  ) {
    this.task = task;
    this.port = port;
    this.onCutOff = onCutOff;
    this.onNotice = onNotice;
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
      this.asked.set(id, {
        resolve,
        body: null,
        wanted: 0,
        onWant: () => undefined,
      }),
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

  /** Sends a body on, a piece whenever one is asked for, until it is answered. */
  private async send(worker: Worker, id: number, body: ReadableStream<Uint8Array>): Promise<void> {
    const reader = body.getReader();
    try {
      for (let asked = this.asked.get(id); asked; asked = this.asked.get(id)) {
        if (asked.wanted === 0) {
          const { promise, resolve } = later();
          asked.onWant = resolve;
          await promise;
          continue;
        }
        asked.wanted--;
        const { done, value } = await reader.read();
        if (done) return this.tell(worker, { kind: 'body end', id });
        this.tell(worker, { kind: 'body', id, bytes: value });
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
    const owner = uuid();
    const worker = newWorker({ ...this.task, owner });
    worker.on('message', (message: FromHeavy) => this.take(worker, message));
    let outOfMemory = false;
    worker.on('error', (error: NodeJS.ErrnoException) => {
      outOfMemory = error.code === 'ERR_WORKER_OUT_OF_MEMORY';
    });
    worker.on('exit', () => {
      if (this.worker === worker) {
        this.worker = null;
        this.onCutOff(owner);
      }
      const problem = outOfMemory ? new Problem(413, TOO_LARGE) : new Problem(503, STOPPED);
      for (const { resolve, body, onWant } of this.asked.values()) {
        onWant();
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
    if (message.kind === 'notice') return this.onNotice(message.projectId);
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
            asked.onWant();
            this.tell(worker, { kind: 'cancel', id: message.id });
          },
        });
        return asked.resolve(
          new Response(stream, { status: message.status, headers: message.headers }),
        );
      }
      case 'want':
        asked.wanted++;
        return asked.onWant();
      case 'piece':
        return asked.body?.enqueue(message.bytes);
      case 'end':
        asked.body?.close();
        this.asked.delete(message.id);
        asked.onWant();
    }
  }
}

/** A promise that is kept from outside. */
function later(): { promise: Promise<void>; resolve(): void } {
  let resolve = (): void => undefined;
  const promise = new Promise<void>((done) => (resolve = done));
  return { promise, resolve };
}
