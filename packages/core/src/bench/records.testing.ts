import type { InstrumentEntry } from '../record/instrumentLog.ts';
import type { SeenFiber, SplicerRecord } from '../record/splicerRecord.ts';

const PROJECT = '019da9e7-4800-7000-8000-00000000bbbb';
let count = 0;
const nextId = () => `019da9e7-4800-7000-8000-${String(++count).padStart(12, '0')}`;

/** A fiber as a splicer saw it, for tests. */
export const seenFiber = (position: number, part: Partial<SeenFiber> = {}): SeenFiber => ({
  position,
  cleaveLeft: 0.4,
  cleaveRight: 0.3,
  offset: 0.2,
  gap: 12,
  image: null,
  estimateMdb: 20,
  error: null,
  ...part,
});

/** A record of one fiber, for tests. */
export const splicerRecord = (part: Partial<SplicerRecord> = {}): SplicerRecord => ({
  id: nextId(),
  projectId: PROJECT,
  splicerId: 'single-splicer',
  number: 1,
  at: '2026-05-04T20:15:00.000Z',
  label: null,
  program: 'SM',
  heater: '60 mm',
  fibers: [seenFiber(1)],
  fused: true,
  tension: 'passed',
  arcs: 100,
  glass: 125,
  temperature: 12,
  pressure: 98,
  humidity: 50,
  origin: 'instrument',
  ...part,
});

/** A good arc check, for tests. */
export const goodCheck = (
  at: string,
  part: Partial<Extract<InstrumentEntry, { kind: 'arc check' }>> = {},
): InstrumentEntry => ({
  kind: 'arc check',
  id: nextId(),
  projectId: PROJECT,
  instrumentId: 'single-splicer',
  by: 'M.',
  at,
  checkId: nextId(),
  round: 1,
  passed: true,
  origin: 'typed',
  arcs: 100,
  air: { temperature: 12, humidity: 50, pressure: 98 },
  ...part,
});

/** An entry of the log of another kind, for tests. */
export const logged = (
  kind: Exclude<InstrumentEntry['kind'], 'arc check'>,
  at: string,
  part: object = {},
): InstrumentEntry =>
  ({
    kind,
    id: nextId(),
    projectId: PROJECT,
    instrumentId: 'single-splicer',
    by: 'M.',
    at,
    ...(kind === 'electrodes' && { what: 'cleaned', arcs: 100 }),
    ...part,
  }) as InstrumentEntry;
