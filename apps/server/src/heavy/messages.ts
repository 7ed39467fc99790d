import type { MessagePort } from 'node:worker_threads';

/** How the thread for long work reaches the database and its files. */
export interface HeavyTask {
  /** PostgreSQL's URL; null for the embedded database. */
  url: string | null;
  /** The data folder. */
  folder: string;
  /** Bytes on the disk that are kept back. */
  reserve: number | undefined;
  logLevel: string;
  /** Where people reach the server, as they sign in on it; null where nobody does. */
  origin: string | null;
  /** Names the thread, for work that it may leave half done. */
  owner: string;
}

export interface PlainRequest {
  method: string;
  path: string;
  headers: [string, string][];
  /** Whether a body follows, piece by piece. */
  hasBody: boolean;
}

export type ToHeavy =
  | { kind: 'request'; id: number; request: PlainRequest }
  | { kind: 'body'; id: number; bytes: Uint8Array }
  | { kind: 'body end'; id: number }
  | { kind: 'cancel'; id: number }
  /** There is room for the next piece of an answer. */
  | { kind: 'more'; id: number }
  | { kind: 'port'; port: MessagePort }
  | { kind: 'no port' };

export type FromHeavy =
  /** It needs a port to the embedded database. */
  | { kind: 'port' }
  /** The embedded database told it that something was written. */
  | { kind: 'notice'; projectId: string | null }
  /** It reads a body, and has nothing of it left. */
  | { kind: 'want'; id: number }
  | { kind: 'head'; id: number; status: number; headers: [string, string][] }
  | { kind: 'piece'; id: number; bytes: Uint8Array }
  | { kind: 'end'; id: number };
