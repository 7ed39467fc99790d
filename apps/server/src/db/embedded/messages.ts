/** What the thread of the embedded database is told. */
export type ToEngine =
  { kind: 'answer'; messages: Uint8Array } | { kind: 'sync'; id: number } | { kind: 'close' };

/** What it says. */
export type FromEngine =
  | { kind: 'ready' }
  | { kind: 'piece'; bytes: Uint8Array }
  | { kind: 'answered' }
  | { kind: 'synced'; id: number }
  | { kind: 'closed' };
