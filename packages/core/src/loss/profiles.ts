import type { Limits } from '../record/limits.ts';

const all = (mdb: number | null) => ({ single: mdb, mass: mdb });

/** TIA-568, 0.75 dB a connector pair, from memory; mechanical ends: common practice, no source. */
const USUAL_ENDS = { mechanical: 500, fused: 750 };

/** The limits that ship. A project keeps its own copy, so a change here moves no verdict. */
export const BUILT_IN_LIMITS: readonly Limits[] = [
  {
    name: 'Two-way 0.10',
    source:
      'Common practice, no source: project limits of 0.05 to 0.15 dB a splice by two-way OTDR mean; redo line and tries as crews set them.',
    splice: {
      estimate: { single: 50, mass: 80 },
      'one-way': all(150),
      insertion: all(150),
      'two-way': { single: 100, mass: 150 },
    },
    ends: USUAL_ENDS,
    mean: { fiber: 80, tray: 60, closure: 60 },
    grade: 'two-way',
    maxTries: 3,
    wavelengths: [1310, 1550],
  },
  {
    name: 'One-way 0.15',
    source:
      'Common practice, no source: the lenient school, which accepts a one-way reading or a power meter’s total at one wavelength.',
    splice: {
      estimate: { single: 50, mass: 100 },
      'one-way': all(150),
      insertion: all(150),
      'two-way': all(150),
    },
    ends: USUAL_ENDS,
    mean: { fiber: 100, tray: null, closure: null },
    grade: 'one-way',
    maxTries: 3,
    wavelengths: [1550],
  },
  {
    name: 'Standard maximum 0.30',
    source: 'TIA-568: 0.3 dB at most for a splice, from memory. Tries: common practice, no source.',
    splice: { estimate: all(300), 'one-way': all(300), insertion: all(300), 'two-way': all(300) },
    ends: USUAL_ENDS,
    mean: { fiber: null, tray: null, closure: null },
    grade: 'insertion',
    maxTries: 3,
    wavelengths: [1310],
  },
];
