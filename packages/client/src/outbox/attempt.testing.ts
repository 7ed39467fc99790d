import { v7 as uuid } from 'uuid';

/** An attempt of a splice that a test makes up, as a page records it. */
export function attemptEntry() {
  const id = uuid();
  return {
    type: 'attempt' as const,
    id,
    spliceId: uuid(),
    tryId: id,
    by: 'Ana',
    at: '2026-05-04T21:00:00.000Z',
    estimateMdb: 20,
    recordId: null,
    recordPosition: null,
    origin: 'typed' as const,
    supersedes: null,
    void: false,
    why: null,
  };
}
