import { FAULTS, type Fault, type FileRecord } from '@cordel/core';
import { type Random, seeded } from './random.ts';
import { type StandinState, newStandin, runStandin } from './splicer.ts';

/** One joint of a practice round, as it lies in the holder before the arc. */
export interface PracticeJoint {
  fault: Fault;
  /** Fibers fused at once: 1 or 12. */
  count: 1 | 12;
  /** Places of the fibers that the plan wants on either side, and those that lie in the holder. */
  wanted: number[];
  left: number[];
  right: number[];
  program: string;
  /** The glass the fibers are of. */
  glass: 'single-mode';
  sleeve: boolean;
  /** What the splicer says: a stop before the arc, or what it makes of the joint once it is fired. */
  record: FileRecord;
  /** Its last estimates before this one, thousandths of a dB. */
  recent: number[];
}

const SINGLE: readonly Fault[] = FAULTS.filter((fault) => fault !== 'flipped');
const RIBBON: readonly Fault[] = FAULTS.filter((fault) => fault !== 'swapped');

const NO_AIR = { temperature: null, humidity: null, pressure: null };

/**
 * A round of joints with made-up faults, the same for the same seed. A third are without fault: who
 * finds one everywhere has not looked either.
 */
export function practiceRound(seed: number, joints: number): PracticeJoint[] {
  const random = seeded(seed);
  let state: StandinState = newStandin(seed);
  return Array.from({ length: joints }, (): PracticeJoint => {
    const count = random.uniform() < 0.5 ? 1 : 12;
    const faults = count === 1 ? SINGLE : RIBBON;
    const fault = random.uniform() < 0.34 ? 'none' : pick(faults.slice(1), random);
    const wanted = count === 1 ? [1 + Math.floor(random.uniform() * 12)] : TWELVE;
    const made = calmRun(state, count, fault);
    state = made.state;
    return {
      fault,
      count,
      wanted,
      left: wanted,
      right: loaded(wanted, fault, random),
      program: fault === 'wrong program' ? 'MM' : count === 1 ? 'SM' : 'SM ribbon',
      glass: 'single-mode',
      sleeve: fault !== 'no sleeve',
      record: made.record,
      recent: recentEstimates(fault, random),
    };
  });
}

const TWELVE = Array.from({ length: 12 }, (_, index) => index + 1);

const pick = <T>(list: readonly T[], random: Random): T =>
  list[Math.floor(random.uniform() * list.length)]!;

function loaded(wanted: readonly number[], fault: Fault, random: Random): number[] {
  if (fault === 'flipped') return [...wanted].reverse();
  if (fault !== 'swapped') return [...wanted];
  const [own] = wanted;
  return [((own! + Math.floor(random.uniform() * 10)) % 12) + 1].map((place) =>
    place === own ? (place % 12) + 1 : place,
  );
}

/**
 * The splicer's run with this fault and no other: a load that stops or reads high by itself is drawn
 * anew, so that each joint teaches one thing.
 */
function calmRun(state: StandinState, count: number, fault: Fault) {
  const stops = fault === 'chip' || fault === 'dirt';
  const high = fault === 'offset' || fault === 'worn electrodes' || fault === 'wrong program';
  let from = state;
  for (let load = 0; ; load++) {
    const run = runStandin({
      state: from,
      fibers: Array.from({ length: count }, () => ({ mfdLeft: 9.2, mfdRight: 9.2 })),
      program: 'SM',
      heater: null,
      at: '2026-05-04T20:15:00.000Z',
      label: null,
      air: NO_AIR,
      faults: fault === 'none' ? [] : [fault],
    });
    const { fibers, fused, tension } = run.record;
    const calm = fibers.every(({ estimateMdb }) => estimateMdb !== null && estimateMdb <= 50);
    const fits = stops ? !fused : fused && tension === 'passed' && (high || calm);
    if (fits || load > 400)
      return { record: run.record, state: { ...state, number: from.number + 1 } };
    from = { ...from, number: from.number + 1 };
  }
}

function recentEstimates(fault: Fault, random: Random): number[] {
  const worn = fault === 'worn electrodes';
  return Array.from({ length: 5 }, (_, index) =>
    worn
      ? 30 + 15 * index + 10 * Math.floor(random.uniform() * 2)
      : 10 * Math.floor(random.uniform() * 3),
  );
}
