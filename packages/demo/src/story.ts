/** What happened at each site so far, and the splices that teach something. */
export interface Chapter {
  site: string;
  /** When the crew began, UTC. */
  start: string;
  /** How many fibers are spliced, in tray order. */
  spliced: number;
  /** Whether both directions are measured. */
  measured: boolean;
  /** Lessons by fiber number on side A. */
  lessons: Record<number, Lesson>;
  /** The splicer whose records came in by themselves; from `wornFrom` on the blade is worn. */
  recorded?: { splicerId: 'single-splicer' | 'ribbon-splicer'; wornFrom: number };
}

export interface Lesson {
  /** Core offsets of the tries in um, one a try; the last is the joint as it lies. */
  offsets?: number[];
  /** What the splicer made of it, dB, where that is another than it should be: it does not see all. */
  estimate?: number;
  /** Extra loss at 1550 nm from a bend, dB. */
  bend?: number;
  /** The fiber is dead: skipped with this reason. */
  dead?: string;
  /** Kept by the lead's word. */
  waived?: string;
  /** Only A to B is measured yet. */
  oneWay?: true;
}

/** One lesson for the twelve fibers of a tray. */
const tray = (first: number, lesson: Lesson): Record<number, Lesson> =>
  Object.fromEntries(Array.from({ length: 12 }, (_, index) => [first + index, lesson]));

export const STORY: Chapter[] = [
  {
    site: 'Toll cottage',
    start: '2026-05-04T19:00:00.000Z',
    spliced: 144,
    measured: true,
    lessons: {
      17: {
        offsets: [0.9, 0.82, 0.8],
        waived: 'Three tries, scored glass on cable A; owner accepts 0.13 dB here.',
      },
      88: { dead: 'Fiber A 88 broken in the head, noted on the reel sheet.' },
      101: { offsets: [0.95, 0.3] },
    },
  },
  {
    site: 'Sluice bridge',
    start: '2026-05-05T19:10:00.000Z',
    spliced: 144,
    measured: true,
    lessons: {
      // One bad joint: both directions and both wavelengths are high.
      43: { offsets: [1.08] },
      // A bend in the tray: only the long wavelength is high.
      63: { offsets: [0.2], bend: 0.14 },
      // A whole tray pinched a little: no splice fails, its mean does.
      ...tray(109, { offsets: [0.28], bend: 0.052 }),
    },
  },
  {
    site: 'Dairy lane',
    start: '2026-05-07T18:40:00.000Z',
    spliced: 76,
    measured: false,
    recorded: { splicerId: 'single-splicer', wornFrom: 58 },
    lessons: {
      // Small mode field onto a larger one: high one way, and no bad splice.
      8: { offsets: [0.25], oneWay: true },
      // Three tries, still over the line: the lead decides.
      30: { offsets: [0.8, 0.74, 0.7] },
      52: { dead: 'Fiber C 52 crushed at the tube cut, spare used at the exchange.' },
      70: { offsets: [0.66] },
    },
  },
  {
    site: 'Pump house',
    start: '2026-05-11T20:00:00.000Z',
    spliced: 288,
    measured: true,
    lessons: {
      // Ribbon 7: its edge fibers are high; the holder or the outer grooves, not the middle.
      73: { offsets: [0.97] },
      74: { offsets: [0.75] },
      83: { offsets: [0.72] },
      84: { offsets: [1.0] },
    },
  },
  {
    site: 'Quarry gate',
    start: '2026-05-13T19:30:00.000Z',
    spliced: 120,
    measured: false,
    recorded: { splicerId: 'ribbon-splicer', wornFrom: 0 },
    lessons: {},
  },
  // A line that is spliced through: its traces are in, their figures are not in the Ledger yet.
  {
    site: 'Ferry steps',
    start: '2026-04-27T19:00:00.000Z',
    spliced: 24,
    measured: false,
    lessons: tray(13, { offsets: [0.25], bend: 0.09 }),
  },
  {
    site: 'Kiln yard',
    start: '2026-04-28T19:00:00.000Z',
    spliced: 24,
    measured: false,
    lessons: { 5: { offsets: [1.25], estimate: 0.04 } },
  },
  {
    site: 'Osier bank',
    start: '2026-04-29T19:00:00.000Z',
    spliced: 24,
    measured: false,
    lessons: { 9: { offsets: [0.2], bend: 0.24 } },
  },
];
