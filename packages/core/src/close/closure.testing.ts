import { enteringCable } from '../prep/assembly.ts';
import { BUILT_IN_HARDWARE } from '../prep/hardware.ts';
import type { ClosingEntry, EntryOf, ReadWords } from '../record/closing.ts';
import type { CableEntry } from '../record/hardware.ts';
import type { ClosingSplice, ClosingView } from './pointTypes.ts';

let count = 0;
const nextId = (): string => `019da9e7-4800-7000-8000-${String(++count).padStart(12, '0')}`;
const CLOSURE = '019da9e7-4800-7000-8000-00000000c105';
const PROJECT = '019da9e7-4800-7000-8000-0000000000aa';

export const hardwareOf = (id: string) => BUILT_IN_HARDWARE.find((one) => one.id === id)!;

const entering = (cableId: string, part: Partial<CableEntry> = {}): CableEntry => ({
  ...enteringCable(`enters ${cableId}`, cableId),
  diameter: 145,
  loop: 60_000,
  ...part,
});

/** Two trays of two splices each, cables A and B in a dome; made up for tests. */
export function closureView(part: Partial<ClosingView> = {}): ClosingView {
  const splices = [1, 2, 3, 4].map((fiber): ClosingSplice => ({
    splice: {
      id: `splice ${fiber}`,
      projectId: PROJECT,
      closureId: CLOSURE,
      tray: fiber < 3 ? 1 : 2,
      slot: fiber < 3 ? fiber : fiber - 2,
      cableA: 'A',
      fiberA: fiber,
      legA: null,
      cableB: 'B',
      fiberB: fiber,
      legB: null,
      end: null,
      method: 'single',
      extra: {},
    },
    judged: { verdict: 'pass', redo: false },
    at: '2026-05-04T20:00:00.000Z',
  }));
  return {
    closure: {
      id: CLOSURE,
      projectId: PROJECT,
      name: 'Mill lane',
      ordinal: 0,
      distance: 0,
      branchOf: null,
      position: null,
      trays: [1, 2, 3].map((number) => ({ number, single: 12, mass: 6 })),
    },
    assembly: {
      closureId: CLOSURE,
      hardwareId: 'dome',
      reach: 0,
      entries: [entering('A', { kind: 'express' }), entering('B', { armoured: true })],
    },
    hardware: hardwareOf('dome'),
    splices,
    cableName: (id) => id,
    isDevice: () => false,
    ...part,
  };
}

/** Whatever part of an entry a test names, with the rest filled in. */
export function closingEntry<Kind extends ClosingEntry['kind']>(
  kind: Kind,
  part: Omit<EntryOf<Kind>, 'kind' | 'id' | 'closureId' | 'by' | 'at'> & {
    at?: string;
    id?: string;
  },
): EntryOf<Kind> {
  return {
    kind,
    id: nextId(),
    closureId: CLOSURE,
    by: 'M.',
    at: '2026-05-04T21:00:00.000Z',
    ...part,
  } as unknown as EntryOf<Kind>;
}

export const said = (
  point: string,
  verdict: 'good' | 'bad' | 'waived' = 'good',
  part: { at?: string; why?: string; slots?: number[]; read?: ReadWords } = {},
) => closingEntry('point', { point, verdict, why: null, slots: [], photos: [], ...part });

export const visited = (
  purpose: EntryOf<'visit'>['purpose'] = 'build',
  why: string | null = null,
) =>
  closingEntry('visit', {
    purpose,
    why,
    crew: ['M.'],
    air: { temperature: 12, humidity: null, pressure: null },
    sky: 'dry',
    instruments: [],
  });

export const roundOf = (at = '2026-05-04T21:30:00.000Z') =>
  closingEntry('round', {
    targetPa: 34_000,
    limitPa: 34_500,
    unit: 'psi',
    stepPa: 70,
    airPa: 101_325,
    at,
  });

export const signedBy = (role: 'technician' | 'lead') =>
  closingEntry('sign', { role, digest: 'a'.repeat(64), strokes: [[0, 0, 500, 500]] });
