import type { Tray } from '../record/closure.ts';
import type { Pin } from '../record/plan.ts';
import { AT_PORT, liesOnTray } from '../record/splice.ts';
import { unitSize } from '../fiber/address.ts';
import { type PlanChange, type Present, type RefusedChange, diffPlan } from './diff.ts';
import { type Expanded, type PlannedJoint, expandPlan } from './expand.ts';
import type { ParsedPlan, PlanError } from './lines.ts';
import { type Clash, type ClashMessage, type Placed, findClashes, pairOf } from './occupancy.ts';
import { parsePlan } from './parsePlan.ts';
import { fibersASleeveOf } from './sleeves.ts';
import type { ListCable } from './spliceList.ts';
import { type Layout, type NoRoomMessage, layOutTrays, noRoomMessage } from './trays/layout.ts';

/** What stands against a plan that is at no place of its text. */
export type PlanObstacle = RefusedChange | NoRoomMessage | ClashMessage;

/** A plan as it is being written, and what it meets in its closure. */
export interface PlanTask<There extends Present> {
  text: string;
  pins: readonly Pin[];
  spare: number;
  /** Whether splices that are not made yet are laid out anew; else they keep their places. */
  anew: boolean;
  /** Whether splices that have evidence are removed where the plan no longer has them. */
  retire: boolean;
  cables: readonly ListCable[];
  trays: readonly Tray[];
  /** The closure's splices, cables by name. */
  there: readonly There[];
}

/** What a plan says and what it would change. Nothing is changed while `errors` has any. */
export interface EvaluatedPlan<There extends Present> {
  parsed: ParsedPlan;
  expanded: Expanded;
  layout: Layout;
  change: PlanChange<There, PlannedJoint & Placed>;
  errors: PlanError[];
  /** What stands against the change that is at no place of the text. */
  obstacles: PlanObstacle[];
}

/** Reads a plan, lays out its trays round what is made already, and says what it would change. */
export function evaluatePlan<There extends Present>(task: PlanTask<There>): EvaluatedPlan<There> {
  const parsed = parsePlan(task.text, task.cables);
  const expanded = expandPlan(parsed, task.cables);
  const here = new Map(task.there.map((splice) => [endsOf(splice), splice]));
  const joints = expanded.joints.map((joint) =>
    here.has(endsOf(turned(joint))) ? turned(joint) : joint,
  );
  const wanted = new Map(joints.map((joint) => [endsOf(joint), joint]));
  // What is made stays; what is planned at a place already stays too, unless all is laid out anew.
  const stays = (splice: There): boolean => {
    const joint = wanted.get(endsOf(splice));
    if (splice.worked) return joint !== undefined || !task.retire;
    return (
      !task.anew &&
      joint?.method === splice.method &&
      joint.end === splice.end &&
      !isPinned(splice, task)
    );
  };
  const fixed = task.there.filter(stays);
  const layout = layOutTrays({
    joints: joints.filter(({ end }) => liesOnTray(end)),
    cables: task.cables,
    trays: task.trays,
    spare: task.spare,
    pins: task.pins,
    fixed: fixed.filter(({ tray }) => tray !== AT_PORT),
  });
  const kept = fixed
    .filter((splice) => wanted.has(endsOf(splice)))
    .map((splice) => ({ ...wanted.get(endsOf(splice))!, tray: splice.tray, slot: splice.slot }));
  const ends = placeEnds(joints, kept, fibersASleeveOf(task.cables));
  const placed = [...kept, ...layout.placed, ...ends];
  const change = diffPlan(task.there, placed, task.retire);
  return {
    parsed,
    expanded,
    layout: { ...layout, placed },
    change,
    errors: [...parsed.errors, ...expanded.errors].sort((a, b) => a.line - b.line),
    obstacles: [
      ...change.refused.map(({ message }) => message),
      ...layout.noRoom.map((missing) => noRoomMessage(missing, task.trays)),
      ...clashesOf(placed, task).map((clash) => clash.message),
    ],
  };
}

/** Ends that are made at their port, in the order of the plan: numbered on, for they lie on no tray. */
function placeEnds(
  joints: readonly PlannedJoint[],
  kept: readonly (PlannedJoint & Placed)[],
  sleeveOf: (cableA: string, cableB: string) => number,
): (PlannedJoint & Placed)[] {
  const made = new Set(kept.map(endsOf));
  let slot = Math.max(0, ...kept.filter(({ tray }) => tray === AT_PORT).map((end) => end.slot));
  let inSleeve = 0;
  return joints
    .filter((joint) => !liesOnTray(joint.end) && !made.has(endsOf(joint)))
    .map((joint) => {
      const size = joint.method === 'mass' ? sleeveOf(joint.cableA, joint.cableB) : 1;
      if (inSleeve % size === 0) {
        slot++;
        inSleeve = 0;
      }
      inSleeve++;
      return { ...joint, tray: AT_PORT, slot };
    });
}

const clashesOf = <There extends Present>(
  placed: readonly Placed[],
  task: PlanTask<There>,
): Clash[] =>
  findClashes(
    placed,
    task.trays,
    (index) => ({ code: 'splice', fibers: pairOf(placed[index]!) }),
    (cable) => cable,
    fibersASleeveOf(task.cables),
  );

/** Whether a pin wants the splice on another tray. */
function isPinned<There extends Present>(splice: Placed, task: PlanTask<There>): boolean {
  const unitOf = (cable: string, fiber: number) => {
    const known = task.cables.find((entry) => entry.name === cable);
    return known ? Math.ceil(fiber / unitSize(known.makeUp)) : 0;
  };
  return task.pins.some(
    ({ cable, unit, tray }) =>
      tray !== splice.tray &&
      ((cable === splice.cableA && unit === unitOf(cable, splice.fiberA)) ||
        (cable === splice.cableB && unit === unitOf(cable, splice.fiberB))),
  );
}

const turned = (joint: PlannedJoint): PlannedJoint => ({
  ...joint,
  cableA: joint.cableB,
  fiberA: joint.fiberB,
  legA: joint.legB,
  cableB: joint.cableA,
  fiberB: joint.fiberA,
  legB: joint.legA,
});

const endsOf = (splice: Omit<Placed, 'tray' | 'slot' | 'method' | 'end'>): string =>
  [
    ...[splice.cableA, splice.fiberA, splice.legA],
    ...[splice.cableB, splice.fiberB, splice.legB],
  ].join('\n');
