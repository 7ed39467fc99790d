import type { CircuitBudget } from '../loss/budget.ts';
import type { Stamper } from '../record/entries.ts';
import type { LinkEntry, LinkEntryOf, Reference } from '../record/link.ts';

/** Stamps with ids that count up. */
export function stamper(by = 'Ana'): Stamper {
  let count = 0;
  return () => ({
    id: `01900000-0000-7000-8000-${String(++count).padStart(12, '0')}`,
    by,
    at: '2026-05-04T20:15:00.000Z',
  });
}

export const PROJECT = '01900000-0000-7000-9000-000000000001';
export const CABLE = '01900000-0000-7000-9000-000000000002';

export const newReference = (
  stamp: Stamper,
  wavelengthNm: number,
  part: Partial<Reference> = {},
): Reference => ({
  kind: 'reference',
  ...stamp(),
  projectId: PROJECT,
  source: 'Source 1',
  meter: 'Meter 1',
  calibratedUntil: '2026-12-31',
  wavelengthNm,
  cords: 1,
  powerMdbm: -7000,
  origin: 'typed',
  ...part,
});

const measured = (stamp: Stamper, fiber: number) => ({
  ...stamp(),
  projectId: PROJECT,
  cableId: CABLE,
  fiber,
  origin: 'typed' as const,
  supersedes: null,
  void: false,
  why: null,
});

/** A link's power, read both ways. */
export const bothWays = (
  stamp: Stamper,
  fiber: number,
  reference: Reference,
  lossesMdb: readonly [number, number],
): LinkEntryOf<'loss'>[] =>
  (['AB', 'BA'] as const).map((direction, index) => ({
    kind: 'loss',
    ...measured(stamp, fiber),
    direction,
    referenceId: reference.id,
    powerMdbm: reference.powerMdbm - lossesMdb[index]!,
    lossMdb: null,
  }));

export const seenAt = (
  stamp: Stamper,
  fiber: number,
  seen: 'here' | 'none' | 'elsewhere',
  seenFiber: number | null = null,
): LinkEntry => ({
  kind: 'continuity',
  ...measured(stamp, fiber),
  direction: 'AB',
  seen,
  seenFiber,
});

/** A budget of a circuit whose parts lose so much, thousandths of a dB. */
export const budgetAt = (
  wavelengthNm: number,
  madeMdb: number,
  part: Partial<CircuitBudget> = {},
): CircuitBudget => ({
  wavelengthNm,
  expectedMdb: madeMdb,
  expectedSigmaMdb: 150,
  madeMdb,
  madeSigmaMdb: 150,
  measuredMdb: null,
  assumedMdb: 0,
  measuredSigmaMdb: null,
  limitMdb: madeMdb + 2000,
  marginMdb: 2000,
  marginSigmaMdb: 150,
  ...part,
});
