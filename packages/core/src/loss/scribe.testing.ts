import type { Attempt, Reading, Ruling } from '../record/evidence.ts';

/** Makes evidence of one splice for tests, in the order in which it is written down. */
export function scribe(spliceId = '019da9e7-4800-7000-8000-0000000000aa') {
  let count = 0;
  const entry = () => ({
    id: `019da9e7-4800-7000-8000-${String(++count).padStart(12, '0')}`,
    spliceId,
    by: 'M.',
    at: '2026-05-04T20:15:00.000Z',
  });
  let tryId: string | null = null;
  return {
    attempt: (estimateMdb: number | null): Attempt => {
      const base = entry();
      tryId = base.id;
      return {
        type: 'attempt',
        ...base,
        tryId: base.id,
        estimateMdb,
        recordId: null,
        recordPosition: null,
        origin: 'typed',
        supersedes: null,
        void: false,
        why: null,
      };
    },
    oneWay: (direction: 'AB' | 'BA', wavelengthNm: number, lossMdb: number): Reading => ({
      type: 'reading',
      ...entry(),
      tryId,
      grade: 'one-way',
      direction,
      wavelengthNm,
      lossMdb,
      traceId: null,
      origin: 'typed',
      supersedes: null,
      void: false,
      why: null,
    }),
    measured: (grade: 'two-way' | 'insertion', wavelengthNm: number, lossMdb: number): Reading => ({
      type: 'reading',
      ...entry(),
      tryId,
      grade,
      direction: null,
      wavelengthNm,
      lossMdb,
      traceId: null,
      origin: 'typed',
      supersedes: null,
      void: false,
      why: null,
    }),
    ruling: (kind: Ruling['kind'], why = 'Dead fiber.'): Ruling => ({
      type: 'ruling',
      ...entry(),
      tryId,
      kind,
      why,
    }),
    /** A correction of an entry, or its taking back. */
    correct: <Entry extends Attempt | Reading>(before: Entry, change: Partial<Entry>): Entry => ({
      ...before,
      ...entry(),
      supersedes: before.id,
      why: 'Slip.',
      ...change,
    }),
  };
}

export type Scribe = ReturnType<typeof scribe>;
