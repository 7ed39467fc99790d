import {
  BUILT_IN_LIMITS,
  USUAL_GLASS,
  USUAL_RUN,
  USUAL_BUDGET,
  USUAL_PRACTICE,
  type Attempt,
  type Reading,
  type Splice,
  unitsOfDistance,
  type SplicerRecord,
} from '@cordel/core';
import { DOCUMENT_VERSION, type ProjectDocument } from '@cordel/core/document';
import { v7 as uuid } from 'uuid';

/** A day on which the demo is as its story tells it. */
export const TOLD = new Date('2026-05-14T12:00:00.000Z');

/** A project of two closures, two loose-tube cables and a drop: 12 splices and 4. */
export function smallDocument({ practiceOnly = false } = {}): ProjectDocument {
  const projectId = uuid();
  const cables = [
    {
      id: uuid(),
      projectId,
      name: 'A',
      makeUp: { kind: 'loose-tube' as const, tubes: 2, fibersPerTube: 12 },
      closureId: null,
      schemeId: 'tia-598',
      glass: USUAL_GLASS,
      run: USUAL_RUN,
    },
    {
      id: uuid(),
      projectId,
      name: 'B',
      makeUp: { kind: 'loose-tube' as const, tubes: 2, fibersPerTube: 12 },
      closureId: null,
      schemeId: 'tia-598',
      glass: USUAL_GLASS,
      run: USUAL_RUN,
    },
    {
      id: uuid(),
      projectId,
      name: 'C',
      makeUp: { kind: 'drop' as const, fibers: 4 },
      closureId: null,
      schemeId: 'tia-598',
      glass: USUAL_GLASS,
      run: USUAL_RUN,
    },
  ];
  const [a, b, c] = cables.map((cable) => cable.id) as [string, string, string];
  const closures = ['Mill', 'Ford'].map((name, ordinal) => ({
    id: uuid(),
    projectId,
    name,
    ordinal,
    distance: (ordinal + 1) * 10_000_000,
    branchOf: null,
    position: null,
    trays: [{ number: 1, single: 12, mass: 2 }],
  }));
  const splice = (closureId: string, slot: number, cableA: string, cableB: string): Splice => ({
    id: uuid(),
    projectId,
    closureId,
    tray: 1,
    slot,
    cableA,
    fiberA: slot,
    cableB,
    fiberB: slot,
    legA: null,
    legB: null,
    method: 'single',
    end: null,
    extra: {},
  });
  return {
    format: 'cordel.project',
    version: DOCUMENT_VERSION,
    archived: [],
    project: {
      id: projectId,
      name: 'Mill line',
      practiceOnly,
      units: unitsOfDistance('km'),
      schemeId: 'tia-598',
      limits: BUILT_IN_LIMITS[0]!,
      trayCapacity: { single: 12, mass: 2 },
      practice: USUAL_PRACTICE,
      budget: USUAL_BUDGET,
      route: [],
      createdAt: '2026-05-04T20:15:00.000Z',
    },
    schemes: [],
    closures,
    cables,
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
    splices: [
      ...Array.from({ length: 12 }, (_, index) => splice(closures[0]!.id, index + 1, a, b)),
      ...Array.from({ length: 4 }, (_, index) => splice(closures[1]!.id, index + 1, b, c)),
    ],
    evidence: [],
  };
}

const entry = (spliceId: string) => ({
  id: uuid(),
  spliceId,
  by: 'M.',
  at: '2026-05-04T20:15:00.000Z',
});

export function attemptOn(spliceId: string, estimateMdb: number): Attempt {
  const base = entry(spliceId);
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
}

export function readingOn(
  attempt: Attempt,
  direction: 'AB' | 'BA',
  wavelengthNm: number,
  lossMdb: number,
): Reading {
  return {
    type: 'reading',
    ...entry(attempt.spliceId),
    tryId: attempt.tryId,
    grade: 'one-way',
    direction,
    wavelengthNm,
    lossMdb,
    traceId: null,
    origin: 'typed',
    supersedes: null,
    void: false,
    why: null,
  };
}

/** A try with both directions at both wavelengths. */
export function provenBy(spliceId: string, lossMdb: number): (Attempt | Reading)[] {
  const attempt = attemptOn(spliceId, 20);
  const both = [1310, 1550].flatMap((nm) => [
    readingOn(attempt, 'AB', nm, lossMdb),
    readingOn(attempt, 'BA', nm, lossMdb),
  ]);
  return [attempt, ...both];
}

/** A run of a splicer in a project, under its running number. */
export const splicerRecordOf = (
  { project }: ProjectDocument,
  number: number,
  part: Partial<SplicerRecord> = {},
): SplicerRecord => ({
  id: uuid(),
  projectId: project.id,
  splicerId: 'single-splicer',
  number,
  at: '2026-05-04T20:15:00.000Z',
  label: null,
  program: 'SM',
  heater: null,
  fibers: [
    {
      position: 1,
      cleaveLeft: 0.4,
      cleaveRight: 0.3,
      offset: 0.2,
      gap: null,
      image: null,
      estimateMdb: 20,
      error: null,
    },
  ],
  fused: true,
  tension: 'passed',
  arcs: number,
  glass: 125,
  temperature: 12,
  pressure: 98,
  humidity: null,
  origin: 'instrument',
  ...part,
});

/** The same document with a known outer end of its first cable: traces can be shot from it. */
export function withOuterEnd(document: ProjectDocument): ProjectDocument {
  const [first, ...others] = document.cables;
  const end = { name: 'Exchange', distance: 0, mark: null, coil: 0 };
  return { ...document, cables: [{ ...first!, run: { ...first!.run, end } }, ...others] };
}
