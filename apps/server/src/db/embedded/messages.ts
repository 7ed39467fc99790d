import type { MessagePort } from 'node:worker_threads';

/** What the thread of the embedded database is told by the one that started it. */
export type ToThread = { kind: 'client'; port: MessagePort } | { kind: 'close' };

/** What it says to that one. */
export type FromThread = { kind: 'ready' } | { kind: 'closed' };

/** What a client asks over its own port. */
export type ToEngine = { kind: 'answer'; messages: Uint8Array } | { kind: 'sync'; id: number };

/** What a client is answered. */
export type FromEngine =
  { kind: 'piece'; bytes: Uint8Array } | { kind: 'answered' } | { kind: 'synced'; id: number };
