import {
  BUILT_IN_LIMITS,
  USUAL_GLASS,
  USUAL_RUN,
  USUAL_BUDGET,
  USUAL_PRACTICE,
  type Attempt,
  type Evidence,
  unitsOfDistance,
} from '@cordel/core';
import { DOCUMENT_VERSION, type ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';

const FIBERS = 864;

/**
 * A made-up project of closures of 864 splices with a try and two readings each.
 * @param closureCount of 100, it has 86 400 splices and 259 200 entries
 */
export function largeDocument(closureCount = 100): ProjectDocument {
  const projectId = uuid();
  const cables = Array.from({ length: closureCount + 1 }, (_, index) => ({
    id: uuid(),
    projectId,
    name: `C${index}`,
    makeUp: { kind: 'loose-tube' as const, tubes: 72, fibersPerTube: 12 },
    closureId: null,
    schemeId: 'tia-598',
    glass: USUAL_GLASS,
    run: USUAL_RUN,
  }));
  const closures = Array.from({ length: closureCount }, (_, ordinal) => ({
    id: uuid(),
    projectId,
    name: `Closure ${ordinal + 1}`,
    ordinal,
    distance: ordinal * 10_000_000,
    branchOf: null,
    position: null,
    trays: Array.from({ length: 72 }, (_unused, index) => ({
      number: index + 1,
      single: 12,
      mass: 0,
    })),
  }));
  const splices = closures.flatMap((closure, at) =>
    Array.from({ length: FIBERS }, (_, index) => ({
      id: uuid(),
      projectId,
      closureId: closure.id,
      tray: Math.floor(index / 12) + 1,
      slot: (index % 12) + 1,
      cableA: cables[at]!.id,
      fiberA: index + 1,
      cableB: cables[at + 1]!.id,
      fiberB: index + 1,
      legA: null,
      end: null,
      legB: null,
      method: 'single' as const,
      extra: {},
    })),
  );
  return {
    format: 'cordel.project',
    version: DOCUMENT_VERSION,
    archived: [],
    project: {
      id: projectId,
      practiceOnly: false,
      name: 'Large',
      units: unitsOfDistance('km'),
      schemeId: 'tia-598',
      limits: BUILT_IN_LIMITS[0]!,
      trayCapacity: { single: 12, mass: 6 },
      practice: USUAL_PRACTICE,
      budget: USUAL_BUDGET,
      route: [],
      createdAt: '2026-05-04T20:15:00.000Z',
    },
    schemes: [],
    closures,
    cables,
    splices,
    plans: [],
    hardware: [],
    assemblies: [],
    instruments: [],
    splicerRecords: [],
    setAside: [],
    instrumentLog: [],
    links: [],
    traces: [],
    tracePlaces: [],
    closing: [],
    photos: [],
    signed: [],
    evidence: splices.flatMap((splice, index): Evidence[] => {
      const attempt = attemptOn(splice.id, (index * 7) % 60);
      const entry = () => ({
        id: uuid(),
        spliceId: splice.id,
        by: 'M.',
        at: attempt.at,
        tryId: attempt.tryId,
      });
      const reading = {
        grade: 'one-way' as const,
        wavelengthNm: 1310,
        traceId: null,
        origin: 'typed' as const,
        supersedes: null,
        void: false,
        why: null,
      };
      return [
        attempt,
        { type: 'reading', ...entry(), ...reading, direction: 'AB', lossMdb: (index * 13) % 120 },
        { type: 'reading', ...entry(), ...reading, direction: 'BA', lossMdb: (index * 11) % 80 },
      ];
    }),
  };
}

export function attemptOn(spliceId: string, estimateMdb: number): Attempt {
  const id = uuid();
  const at = '2026-05-04T20:15:00.000Z';
  return {
    type: 'attempt',
    id,
    spliceId,
    tryId: id,
    by: 'M.',
    at,
    estimateMdb,
    recordId: null,
    recordPosition: null,
    origin: 'typed',
    supersedes: null,
    void: false,
    why: null,
  };
}
