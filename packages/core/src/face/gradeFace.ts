import type { POLISHES } from '../record/cable.ts';
import type { FaceMarks } from '../record/evidence.ts';

type Polish = (typeof POLISHES)[number];

/** Zones of an end face from within, with their outer diameters, um. IEC 61300-3-35, from memory. */
export const FACE_ZONES = [
  { zone: 'core', outerUm: 25 },
  { zone: 'cladding', outerUm: 120 },
  { zone: 'adhesive', outerUm: 130 },
  { zone: 'contact', outerUm: 250 },
] as const;
export type FaceZone = (typeof FACE_ZONES)[number]['zone'];

/** How many marks of each kind a face may have: single mode, by its polish. IEC 61300-3-35, from memory. */
export const FACE_LIMITS: Record<Polish, FaceMarks> = {
  UPC: {
    coreScratches: 0,
    coreDefects: 0,
    claddingScratches: 0,
    claddingDefects: 5,
    claddingLargeDefects: 0,
    contactDefects: 0,
  },
  APC: {
    coreScratches: 4,
    coreDefects: 0,
    claddingScratches: Infinity,
    claddingDefects: 5,
    claddingLargeDefects: 0,
    contactDefects: 0,
  },
};

/** The zone that each kind of mark lies in. */
export const MARK_ZONES: Record<keyof FaceMarks, FaceZone> = {
  coreScratches: 'core',
  coreDefects: 'core',
  claddingScratches: 'cladding',
  claddingDefects: 'cladding',
  claddingLargeDefects: 'cladding',
  contactDefects: 'contact',
};

export const NO_MARKS: FaceMarks = {
  coreScratches: 0,
  coreDefects: 0,
  claddingScratches: 0,
  claddingDefects: 0,
  claddingLargeDefects: 0,
  contactDefects: 0,
};

export type FaceGrade = 'pass' | 'fail';

/** A grade a zone, and of the whole face: it passes where every zone does. The adhesive has no limit. */
export function gradeFace(
  marks: FaceMarks,
  polish: Polish,
): { zones: Record<FaceZone, FaceGrade>; face: FaceGrade } {
  const limits = FACE_LIMITS[polish];
  const zones: Record<FaceZone, FaceGrade> = {
    core: 'pass',
    cladding: 'pass',
    adhesive: 'pass',
    contact: 'pass',
  };
  for (const kind of Object.keys(limits) as (keyof FaceMarks)[])
    if (marks[kind] > limits[kind]) zones[MARK_ZONES[kind]] = 'fail';
  const fails = Object.values(zones).includes('fail');
  return { zones, face: fails ? 'fail' : 'pass' };
}
