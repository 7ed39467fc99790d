import { z } from 'zod';
import type { Job, Line, Pool, Stage } from './line.ts';
import { issue } from '../../record/issue.ts';

const minutes = z.number().min(0, issue('durationNegative')).max(1440, issue('overADay'));
const seconds = z.number().min(1, issue('underASecond')).max(7200, issue('overTwoHours'));
const share = z.number().min(0, issue('shareNegative')).max(0.9, issue('shareOver90'));
const crew = z.int(issue('notWhole')).min(1, issue('atLeastOne')).max(12, issue('atMostTwelve'));

/** Who and what works, how long each thing takes, and when. Middle times in s where not said otherwise. */
export const shiftSettingSchema = z.object({
  /** Minutes from the start to the end of the window. */
  window: minutes.min(10, issue('windowUnderTenMinutes')),
  people: crew,
  splicers: crew,
  /** Heaters in all. */
  heaters: crew,
  /** How many can work at the closure at once. */
  places: crew,
  times: z.object({
    /** Opening a tube or ribbon, cleaning, grouping, routing to its tray. */
    open: seconds,
    /** Making a ribbon of loose fibers, both sides, and the adhesive’s wait, in which hands are free. */
    ribbonize: seconds,
    adhesive: seconds,
    prepSingle: seconds,
    prepRibbon: seconds,
    load: seconds,
    arc: seconds,
    /** Reading the estimate, tension test. */
    test: seconds,
    /** Taking a joint out that is made again. */
    again: seconds,
    /** Out of the splicer, sleeve centered, into the heater. */
    move: seconds,
    heat: seconds,
    /** Out of the heater and into its slot. */
    seat: seconds,
    check: seconds,
  }),
  /** How much times of hands vary: standard deviation of their logarithm. */
  spread: z.number().min(0).max(1),
  redo: z.object({ single: share, ribbon: share, ribbonized: share }),
  /** Arcs between checks; one is made at the start too where `checkFirst` says so. */
  checkEvery: z.int().min(10).max(5000),
  checkFirst: z.boolean(),
  breaks: z.array(z.object({ at: minutes, length: minutes })).max(8),
});

export type ShiftSetting = z.infer<typeof shiftSettingSchema>;

/** Common practice for arc and heater, no source; the times of hands are set by us, and the shift learns its own. */
export const USUAL_SHIFT: ShiftSetting = {
  window: 480,
  people: 1,
  splicers: 1,
  heaters: 1,
  places: 2,
  times: {
    open: 420,
    ribbonize: 240,
    adhesive: 60,
    prepSingle: 75,
    prepRibbon: 150,
    load: 20,
    arc: 11,
    test: 6,
    again: 12,
    move: 12,
    heat: 35,
    seat: 15,
    check: 180,
  },
  spread: 0.25,
  redo: { single: 0.05, ribbon: 0.08, ribbonized: 0.14 },
  checkEvery: 300,
  checkFirst: true,
  breaks: [{ at: 240, length: 30 }],
};

/** A tube or ribbon with what is still to splice of it. */
export interface ShiftUnit {
  label: string;
  /** Sleeves to make and fibers in each. */
  sleeves: number;
  fibers: number;
  way: 'single' | 'ribbon' | 'ribbonized';
  /** Its fibers lie in ribbons on both sides: there is nothing to ribbonize, however they are spliced. */
  isRibbon?: true;
}

export const POOLS = ['people', 'places', 'splicers', 'heaters', 'ready'] as const;
const [PEOPLE, PLACES, SPLICERS, HEATERS, READY] = [0, 1, 2, 3, 4];
const HANDS = [PEOPLE, PLACES];

/** Stages by number, those that go first last. */
export const STAGE = {
  open: 0,
  ribbonize: 1,
  adhesive: 2,
  prep: 3,
  load: 4,
  arc: 5,
  test: 6,
  again: 7,
  move: 8,
  heat: 9,
  seat: 10,
  check: 11,
  rest: 12,
} as const;

const stage = (name: string, takes: number[], gives: number[], next: number): Stage => ({
  name,
  takes,
  gives,
  next,
});

/** The bench as a line: hands, splicers and heaters, each held for as long as something lies in it. */
const STAGES: readonly Stage[] = [
  stage('openTube', HANDS, HANDS, -1),
  stage('ribbonize', HANDS, HANDS, STAGE.adhesive),
  stage('adhesive', [], [], STAGE.prep),
  // Ends that are cleaved wait for the splicer, one pair for each: more would gather dust.
  stage('prepare', [...HANDS, READY], HANDS, STAGE.load),
  stage('load', [...HANDS, SPLICERS], [...HANDS, READY], STAGE.arc),
  stage('arc', [], [], STAGE.test),
  // The estimate and the tension test decide; what is made again leaves the splicer.
  stage('test', HANDS, HANDS, STAGE.move),
  stage('cutBack', HANDS, [...HANDS, SPLICERS], STAGE.prep),
  stage('moveToHeater', [...HANDS, HEATERS], [...HANDS, SPLICERS], STAGE.heat),
  stage('heat', [], [], STAGE.seat),
  stage('seat', HANDS, [...HANDS, HEATERS], -1),
  stage('arcCheck', [...HANDS, SPLICERS], [...HANDS, SPLICERS], -1),
  stage('break', [PEOPLE], [PEOPLE], -1),
];

/** A shift as a line of work, with what its draws need to know of each job. */
export interface ShiftLine extends Line {
  setting: ShiftSetting;
  units: readonly ShiftUnit[];
  /** For each job the length of its break in s; 0 for other jobs. */
  rests: Float64Array;
  /** The job that stands for arc checks, called by the count of arcs. */
  check: number;
}

/** Lays the units out as jobs: each tube is opened, then its sleeves are made one after the other. */
export function shiftLine(setting: ShiftSetting, units: readonly ShiftUnit[]): ShiftLine {
  const jobs: Job[] = [];
  const rests: number[] = [];
  const add = (job: Job, rest = 0): number => {
    jobs.push(job);
    rests.push(rest);
    return jobs.length - 1;
  };
  for (const { at, length } of setting.breaks)
    for (let person = 0; person < setting.people; person++)
      add({ stage: STAGE.rest, unit: -1, after: -1, from: at * 60 }, length * 60);
  if (setting.checkFirst)
    for (let splicer = 0; splicer < setting.splicers; splicer++)
      add({ stage: STAGE.check, unit: -1, after: -1, from: 0 });
  units.forEach(({ sleeves, way }, unit) => {
    const open = add({ stage: STAGE.open, unit, after: -1, from: 0 });
    for (let sleeve = 0; sleeve < sleeves; sleeve++)
      add({
        stage: way === 'ribbonized' ? STAGE.ribbonize : STAGE.prep,
        unit,
        after: open,
        from: 0,
      });
  });
  const check = add({ stage: STAGE.check, unit: -1, after: -1, from: 0, called: true });
  const counts = [
    setting.people,
    setting.places,
    setting.splicers,
    setting.heaters,
    setting.splicers,
  ];
  return {
    pools: POOLS.map((name, index): Pool => ({ name, count: counts[index]! })),
    stages: STAGES,
    jobs,
    setting,
    units,
    rests: Float64Array.from(rests),
    check,
  };
}
