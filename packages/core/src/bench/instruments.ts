import type { Instrument } from '../record/instrument.ts';

const SOURCE =
  'Common practice, no source: replace by your instrument’s own sheet. Copy it and set your figures.';

const cleaveLengths = [100, 160, 180, 200];

/** Instruments that ship: generic, each to be replaced by the own one's sheet. */
export const BUILT_IN_INSTRUMENTS: readonly Instrument[] = [
  {
    kind: 'splicer',
    id: 'single-splicer',
    name: 'Single-fiber splicer',
    source: SOURCE,
    programs: [
      { name: 'SM', glass: 'single-mode', fibers: 1 },
      { name: 'MM', glass: 'multimode', fibers: 1 },
      { name: 'Auto', glass: 'any', fibers: 1 },
    ],
    heaterPrograms: [
      { name: '60 mm', sleeve: '60 mm', seconds: 35 },
      { name: '40 mm', sleeve: '40 mm', seconds: 26 },
      { name: '27 mm', sleeve: '27 mm', seconds: 20 },
    ],
    heaters: 1,
    holders: [1],
    cleaveLengths,
    arcSeconds: 9,
    coolSeconds: 20,
    cleaveLimit: 200,
  },
  {
    kind: 'splicer',
    id: 'ribbon-splicer',
    name: 'Ribbon splicer',
    source: SOURCE,
    programs: [
      { name: 'SM ribbon', glass: 'single-mode', fibers: 12 },
      { name: 'MM ribbon', glass: 'multimode', fibers: 12 },
      { name: 'SM', glass: 'single-mode', fibers: 1 },
    ],
    heaterPrograms: [
      { name: 'Ribbon', sleeve: 'ribbon', seconds: 40 },
      { name: '60 mm', sleeve: '60 mm', seconds: 35 },
      { name: '40 mm', sleeve: '40 mm', seconds: 26 },
    ],
    heaters: 1,
    holders: [1, 4, 12],
    cleaveLengths: [100],
    arcSeconds: 15,
    coolSeconds: 30,
    cleaveLimit: 300,
  },
  {
    kind: 'cleaver',
    id: 'cleaver',
    name: 'Cleaver',
    source: SOURCE,
    cleaveLengths,
    positions: 16,
    cleaves: 1000,
  },
];
