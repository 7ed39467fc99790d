import type { Hardware } from '../record/hardware.ts';
import { type CutPlan, type CutTask, LONGEST_PULL, type PrepCheck, length } from './cutMarks.ts';
import { FIBER_RADIUS, cableRadius, coilsIn } from './storage.ts';

/** Least fiber that reaches from a tray into a splicer and back (common practice). */
const LEAST_WORK = 3000;

/** Whether tubes that pass through lie in the basket, bent no tighter than fiber may be. */
export function storageCheck({ basket }: Hardware, opening: number, tubes: number): PrepCheck {
  const coils = coilsIn(basket, opening, FIBER_RADIUS, tubes);
  if (!coils.fits)
    return {
      ok: false,
      message: { code: 'basketTooNarrow', least: length(2 * FIBER_RADIUS) },
    };
  const lie = {
    tubes,
    turns: coils.turns,
    turn: length(coils.turn, 'near'),
    radius: length(FIBER_RADIUS),
    height: length(coils.height),
  };
  return coils.height <= basket.depth
    ? { ok: true, message: { code: 'basketHolds', ...lie } }
    : {
        ok: false,
        message: { code: 'basketTooShallow', ...lie, depth: length(basket.depth, 'down') },
      };
}

/** The checks that every plan has, and its marks in order. */
export function finish(plan: CutPlan, task: CutTask, tail: number | null): void {
  const { practice, entry, reach } = task;
  if (tail !== null) {
    // What a drop case or a rack module stores is less than a tray of a closure.
    const isSmall = task.hardware.form === 'drop' || task.hardware.form === 'rack';
    const needed = isSmall ? LEAST_WORK : Math.max(LEAST_WORK, practice.trayFiber);
    const redos = Math.max(0, Math.floor((tail - needed) / practice.redoConsumption));
    plan.checks.push({
      ok: tail >= LEAST_WORK && redos >= practice.redos,
      message:
        tail < LEAST_WORK
          ? { code: 'doesNotReach', tail: length(tail, 'down'), least: length(LEAST_WORK) }
          : {
              code: 'slack',
              redos,
              each: length(practice.redoConsumption),
              planned: practice.redos,
              tail: length(tail, 'down'),
              needed: length(needed),
            },
    });
  }
  const pulls = longestPull(plan);
  if (pulls > 0)
    plan.checks.push({
      ok: pulls <= LONGEST_PULL,
      message: {
        code: 'longestPull',
        pull: length(pulls),
        most: length(LONGEST_PULL, 'down'),
      },
    });
  if (reach > 0)
    plan.checks.push({
      ok: entry.loop >= reach,
      message:
        entry.loop >= reach
          ? { code: 'loopReaches', loop: length(entry.loop, 'down'), reach: length(reach) }
          : {
              code: 'loopTooShort',
              missing: length(reach - entry.loop),
              reach: length(reach),
            },
    });
  if (entry.diameter !== null)
    plan.checks.push({
      ok: true,
      message: {
        code: 'bendRadius',
        load: length(cableRadius(entry.diameter, true)),
        rest: length(cableRadius(entry.diameter, false)),
      },
    });
  plan.marks.sort((a, b) => a.at - b.at);
}

/** The longest stretch between two neighboring tube marks: what is pulled off in one piece. */
function longestPull(plan: CutPlan): number {
  const places = plan.marks
    .filter(({ kind }) => kind === 'score' || kind === 'tube cut')
    .map(({ at }) => at)
    .sort((a, b) => a - b);
  if (places.length === 0) return 0;
  // What lies beyond the cut that gives hold of the ripcord is waste, tubes and all.
  const start = plan.marks.find(({ kind }) => kind === 'access cut')?.at ?? 0;
  const all = plan.zero === 'firstRingCut' ? places : [start, ...places];
  return Math.max(0, ...all.slice(1).map((at, index) => at - all[index]!));
}
