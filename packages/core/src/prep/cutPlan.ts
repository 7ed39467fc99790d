import { GROUP_SIZE, type MakeUp, fiberCount } from '../record/cable.ts';
import type { CableEntry, Hardware } from '../record/hardware.ts';
import type { Practice } from '../record/practice.ts';
import { formatLength } from '../measure/length.ts';
import type { LengthUnit } from '../record/units.ts';
import { plural } from '../measure/count.ts';
import { FIBER_RADIUS, cableRadius, coilsIn } from './storage.ts';

/** A place on the tape, in tenths of a millimeter from its zero. */
export interface CutMark {
  at: number;
  kind: 'ring cut' | 'trim' | 'score' | 'window' | 'tube cut' | 'clamp';
  words: string;
  /** Which way a tape's figure is rounded, so that nothing gets shorter than is needed. */
  round: 'up' | 'down' | 'near';
}

/** Something the lengths imply: whether it holds, and the figures. */
export interface PrepCheck {
  ok: boolean;
  words: string;
}

/** Where to mark and cut one cable. Lengths in tenths of a millimeter. */
export interface CutPlan {
  /** Where the tape begins. */
  zero: string;
  /** Sheath that comes off: between the zero and the ring cut, or between both ring cuts. */
  opening: number;
  /** From the zero on. */
  marks: CutMark[];
  /** Fiber that each way of opening leaves past the tube, for the tray. */
  tails: { words: string; length: number }[];
  /** Tubing to cut beforehand. */
  tubing: { words: string; count: number; length: number }[];
  /** What must stay whole. */
  whole: string[];
  checks: PrepCheck[];
}

/** What a cut plan follows from. */
export interface CutTask {
  hardware: Hardware;
  makeUp: MakeUp;
  entry: CableEntry;
  practice: Practice;
  /** How far the loop outside must reach, in tenths of a millimeter. */
  reach: number;
  unit: LengthUnit;
}

/** The longest piece of tube that is pulled off at once: 24 in, for a longer pull can break fibers (common practice). */
export const LONGEST_PULL = 6096;

/** Least fiber that reaches from a tray into a splicer and back (common practice). */
const LEAST_WORK = 3000;

/** The marks and cuts of one cable, by how it enters. */
export function cutPlan(task: CutTask): CutPlan {
  if (task.entry.kind === 'express') return expressPlan(task);
  return task.entry.kind === 'drop' ? dropPlan(task) : endPlan(task);
}

function endPlan(task: CutTask): CutPlan {
  const { hardware, makeUp, entry, practice } = task;
  const rack = hardware.form === 'rack';
  const kept = makeUp.kind === 'ribbon' ? hardware.keep.centralTube : hardware.tubeToTray;
  const sheet = rack
    ? Math.max(hardware.sheath.end, entry.route + entry.inside)
    : hardware.sheath.end;
  const needed = hardware.tubeToTray + practice.trayFiber;
  const opening = Math.max(sheet, needed);
  const tail = opening - hardware.tubeToTray;
  const plan = started('the end of the cable', opening);
  const inner = makeUp.kind === 'ribbon' ? 'central tube' : 'tubes';
  plan.marks.push({
    at: opening,
    kind: 'ring cut',
    words: 'ring cut: the sheath ends here',
    round: 'up',
  });
  trims(plan, hardware, opening, makeUp);
  plan.marks.push({
    at: opening - kept,
    kind: 'tube cut',
    words: `${inner} end here: ${show(kept, task)} kept past the sheath`,
    round: 'down',
  });
  scores(plan, opening - kept, 0, inner);
  if (rack)
    plan.marks.push({
      at: opening + hardware.clamp,
      kind: 'clamp',
      words: `clamp: the sheath ends ${show(hardware.clamp, task)} below it`,
      round: 'up',
    });
  plan.tails.push({ words: 'fiber past the tube', length: tail });
  if (makeUp.kind === 'ribbon') plan.tubing.push(ribbonTubing(task, rack));
  plan.checks.push(
    opening > sheet
      ? {
          ok: false,
          words: `The sheet’s ${show(sheet, task)} would not reach: ${show(opening, task)} of sheath comes off, for ${show(hardware.tubeToTray, task)} to the tray and ${show(practice.trayFiber, task)} on it.`,
        }
      : {
          ok: true,
          words: `Tails reach the tray: ${show(tail, task, 'down')} of fiber past the tube, ${show(practice.trayFiber, task)} asked for.`,
        },
  );
  finish(plan, task, tail);
  return plan;
}

function expressPlan(task: CutTask): CutPlan {
  const { hardware, makeUp, entry } = task;
  const opening = hardware.sheath.express;
  const plan = started('the first ring cut', opening);
  plan.marks.push({ at: 0, kind: 'ring cut', words: 'first ring cut: tape zero', round: 'up' });
  plan.marks.push({ at: opening, kind: 'ring cut', words: 'second ring cut', round: 'up' });
  const { strength } = hardware.keep;
  plan.marks.push({
    at: strength,
    kind: 'trim',
    words: `strength member: ${show(strength, task)} kept`,
    round: 'up',
  });
  plan.marks.push({
    at: opening - strength,
    kind: 'trim',
    words: `strength member: ${show(strength, task)} kept`,
    round: 'down',
  });
  const ways = new Set(entry.tubes.map((tube) => tube.way));
  let shortest = Infinity;
  if (ways.has('dedicate')) {
    const tail = opening - hardware.tubeToTray;
    shortest = Math.min(shortest, tail);
    plan.marks.push({
      at: opening,
      kind: 'tube cut',
      words: 'dedicated tubes: cut here',
      round: 'up',
    });
    plan.marks.push({
      at: hardware.tubeToTray,
      kind: 'score',
      words: 'dedicated tubes: score and pull off from here',
      round: 'up',
    });
    scores(plan, opening, hardware.tubeToTray, 'dedicated tubes');
    plan.tails.push({ words: 'a dedicated tube leaves', length: tail });
  }
  if (ways.has('window')) {
    const tail = opening - 2 * hardware.window;
    shortest = Math.min(shortest, tail);
    for (const at of [hardware.window, opening - hardware.window])
      plan.marks.push({
        at,
        kind: 'window',
        words: 'window in the tube: cut open, not through',
        round: 'near',
      });
    plan.tails.push({
      words: 'a window leaves, with fibers cut at the far one',
      length: Math.max(0, tail),
    });
  }
  const total =
    makeUp.kind === 'ribbon' ? makeUp.ribbons : makeUp.kind === 'drop' ? 1 : makeUp.tubes;
  const untouched = total - entry.tubes.length;
  if (untouched > 0)
    plan.whole.push(
      `${plural(untouched, makeUp.kind === 'ribbon' ? 'ribbon' : 'tube')} ${untouched === 1 ? 'passes' : 'pass'} through: never cut, scored or bent; stored in the basket.`,
    );
  if (untouched > 0) plan.checks.push(storageCheck(task, opening, untouched));
  if (shortest < Infinity) finish(plan, task, shortest);
  else finish(plan, task, null);
  return plan;
}

/** Whether tubes that pass through lie in the basket, bent no tighter than fiber may be. */
function storageCheck(task: CutTask, length: number, tubes: number): PrepCheck {
  const { basket } = task.hardware;
  const coils = coilsIn(basket, length, FIBER_RADIUS, tubes);
  if (!coils.fits)
    return {
      ok: false,
      words: `The basket is too narrow for any coil: ${show(2 * FIBER_RADIUS, task)} is the least width. Use hardware with a wider one.`,
    };
  const lie = `${plural(tubes, 'tube')} in ${plural(coils.turns, 'turn')} of ${show(coils.turn, task, 'near')}, bent no tighter than ${show(FIBER_RADIUS, task)}`;
  return coils.height <= basket.depth
    ? {
        ok: true,
        words: `What passes lies in the basket: ${lie}, ${show(coils.height, task)} high.`,
      }
    : {
        ok: false,
        words: `The basket is too shallow: ${lie}, would pile up ${show(coils.height, task)} in ${show(basket.depth, task, 'down')}. Use hardware with a deeper one.`,
      };
}

function dropPlan(task: CutTask): CutPlan {
  const { hardware } = task;
  const opening = hardware.sheath.drop;
  const { dropTube, strength } = hardware.keep;
  const plan = started('the end of the cable', opening);
  plan.marks.push({ at: opening, kind: 'ring cut', words: 'the sheath ends here', round: 'up' });
  plan.marks.push({
    at: opening - strength,
    kind: 'trim',
    words: `both rods: ${show(strength, task)} kept`,
    round: 'down',
  });
  plan.marks.push({
    at: opening - dropTube,
    kind: 'tube cut',
    words: `the tube ends here: ${show(dropTube, task)} kept`,
    round: 'down',
  });
  scores(plan, opening - dropTube, 0, 'tube');
  const tail = opening - dropTube;
  plan.tails.push({ words: 'fiber past the tube', length: tail });
  finish(plan, task, tail);
  return plan;
}

const started = (zero: string, opening: number): CutPlan => ({
  zero,
  opening,
  marks: [],
  tails: [],
  tubing: [],
  whole: [],
  checks: [],
});

/** What is trimmed past the sheath edge of a cut cable. */
function trims(plan: CutPlan, hardware: Hardware, edge: number, makeUp: MakeUp): void {
  const kept: [keyof Hardware['keep'], string][] = [
    ['strength', 'strength member'],
    ['aramid', 'aramid, for tying off'],
    ['ripcord', 'ripcord'],
  ];
  for (const [key, words] of kept)
    plan.marks.push({
      at: edge - hardware.keep[key],
      kind: 'trim',
      words: `${words} ends here`,
      round: 'down',
    });
  if (makeUp.kind === 'grouped-tube')
    plan.whole.push('Binders stay on until each group has its mark.');
}

/** Scores between which a tube comes off in equal pieces, none longer than can be pulled. */
function scores(plan: CutPlan, from: number, to: number, what: string): void {
  const length = Math.abs(from - to);
  const pieces = Math.ceil(length / LONGEST_PULL);
  for (let piece = 1; piece < pieces; piece++) {
    const at = Math.round(to + ((from - to) * piece) / pieces);
    plan.marks.push({ at, kind: 'score', words: `${what}: score and snap`, round: 'near' });
  }
}

/** Tubes or sleeves through which ribbons run to their trays. */
function ribbonTubing(task: CutTask, rack: boolean): CutPlan['tubing'][number] {
  const { hardware, makeUp, entry } = task;
  const ribbons = Math.ceil(fiberCount(makeUp) / GROUP_SIZE);
  if (rack)
    return {
      words: 'protective sleeves, two ribbons in each, in number order',
      count: Math.ceil(ribbons / 2),
      length: entry.route + entry.inside,
    };
  return {
    words: 'transport tubes, one a tray',
    count: Math.ceil(ribbons / Math.max(1, hardware.trays.mass)),
    length: hardware.tubeToTray,
  };
}

/** The checks that every plan has, and its marks in order. */
function finish(plan: CutPlan, task: CutTask, tail: number | null): void {
  const { practice, entry, reach } = task;
  if (tail !== null) {
    const redos = Math.max(0, Math.floor((tail - LEAST_WORK) / practice.redoEats));
    plan.checks.push({
      ok: tail >= LEAST_WORK && redos >= practice.redos,
      words:
        tail < LEAST_WORK
          ? `${show(tail, task, 'down')} of fiber does not reach a splicer: ${show(LEAST_WORK, task)} is the least.`
          : `Slack for ${plural(redos, 'redo')} of ${show(practice.redoEats, task)} each; ${practice.redos} planned.`,
    });
  }
  const pulls = longestPull(plan);
  if (pulls > 0)
    plan.checks.push({
      ok: pulls <= LONGEST_PULL,
      words: `The longest piece to pull off is ${show(pulls, task)}; ${show(LONGEST_PULL, task, 'down')} is the most.`,
    });
  if (reach > 0)
    plan.checks.push({
      ok: entry.loop >= reach,
      words:
        entry.loop >= reach
          ? `The loop outside of ${show(entry.loop, task, 'down')} reaches the bench at ${show(reach, task)}.`
          : `The loop outside is ${show(reach - entry.loop, task)} too short to reach the bench at ${show(reach, task)}.`,
    });
  if (entry.diameter !== null)
    plan.checks.push({
      ok: true,
      words: `Bend the cable no tighter than ${show(cableRadius(entry.diameter, true), task)} in radius under load, ${show(cableRadius(entry.diameter, false), task)} at rest.`,
    });
  plan.marks.sort((a, b) => a.at - b.at);
}

/** The longest stretch between two neighbouring tube marks: what is pulled off in one piece. */
function longestPull(plan: CutPlan): number {
  const places = plan.marks
    .filter(({ kind }) => kind === 'score' || kind === 'tube cut')
    .map(({ at }) => at)
    .sort((a, b) => a - b);
  if (places.length === 0) return 0;
  const all = plan.zero === 'the first ring cut' ? places : [0, ...places];
  return Math.max(0, ...all.slice(1).map((at, index) => at - all[index]!));
}

const show = (length: number, task: CutTask, towards: 'up' | 'down' | 'near' = 'up'): string =>
  formatLength(length, task.unit, towards);
