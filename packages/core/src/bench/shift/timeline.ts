import type { Stretch } from './line.ts';
import { STAGE, type ShiftLine } from './shift.ts';

/** A stretch of a lane of the picture. Seconds from the start. */
export interface Segment {
  from: number;
  to: number;
  /** A stage of the line, or what a splicer or heater is taken for. */
  what: string;
}

/** What one pair of hands, splicer or heater does; they are numbered from 1. */
export interface Lane {
  of: 'hands' | 'splicer' | 'heater';
  number: number;
  segments: Segment[];
}

/** A run as a picture: when each tube or ribbon is worked on, and what hands, splicers and heaters do. */
export interface Timeline {
  finish: number;
  units: { label: string; from: number; to: number }[];
  lanes: Lane[];
}

/** Turns the stretches of one run into lanes: who or what was taken, from when to when. */
export function timelineOf(
  line: ShiftLine,
  stretches: readonly Stretch[],
  finish: number,
): Timeline {
  const units = line.units.map(({ label }) => ({ label, from: Infinity, to: 0 }));
  const hands: Segment[] = [];
  const splicers: Segment[] = [];
  const heaters: Segment[] = [];
  // A job holds its splicer from loading on, its heater from the move on.
  const loaded = new Map<number, number>();
  const heated = new Map<number, number>();
  for (const { job, stage, from, to } of stretches) {
    const unit = units[line.jobs[job]!.unit];
    if (unit) {
      unit.from = Math.min(unit.from, from);
      unit.to = Math.max(unit.to, to);
    }
    const taken = line.stages[stage]!.takes.includes(0);
    if (taken) hands.push({ from, to, what: line.stages[stage]!.name });
    if (stage === STAGE.load) loaded.set(job, from);
    if (stage === STAGE.check) splicers.push({ from, to, what: 'arcCheck' });
    if (stage === STAGE.move) heated.set(job, from);
    if (stage === STAGE.move || stage === STAGE.again) {
      splicers.push({ from: loaded.get(job)!, to, what: 'splice' });
      loaded.delete(job);
    }
    if (stage === STAGE.seat) {
      heaters.push({ from: heated.get(job)!, to, what: 'heat' });
      heated.delete(job);
    }
  }
  return {
    finish,
    units: units.filter(({ from }) => from < Infinity),
    lanes: [
      ...lanesOf('hands', hands),
      ...lanesOf('splicer', splicers),
      ...lanesOf('heater', heaters),
    ],
  };
}

/** Lays segments side by side so that none of a lane overlap: as many lanes as there were at once. */
function lanesOf(of: Lane['of'], segments: readonly Segment[]): Lane[] {
  const lanes: Segment[][] = [];
  for (const segment of [...segments].sort((a, b) => a.from - b.from)) {
    const lane = lanes.find((own) => own.at(-1)!.to <= segment.from + 1e-6);
    if (lane) lane.push(segment);
    else lanes.push([segment]);
  }
  return lanes.map((own, index) => ({ of, number: index + 1, segments: own }));
}
