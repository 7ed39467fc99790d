import { fiberCount } from '../record/cable.ts';
import { formatLength } from '../measure/length.ts';
import { plural } from '../measure/count.ts';
import type { CutPlan, CutTask } from './cutPlan.ts';
import type { SealChoice } from './seal.ts';

/** One thing to do, in the trade's order. */
export interface PrepStep {
  /** Names the step for good, so that a tick stays with it. */
  key: string;
  words: string;
  caution: string | null;
}

const BLADE = 'Blade: cut-resistant glove, cut away from yourself.';
const GLASS = 'Glass shards: eyes covered, shards into a closed container.';
const SOLVENT = 'Solvent: air the place, no flame, arc or heater near.';
const LOCAL = 'Follow local codes and your company’s practice; bonding is for qualified people.';

/** The work on one cable, from the van to the tray: seal before the first cut, order as in the trade. */
export function prepSteps(task: CutTask, plan: CutPlan, seal: SealChoice | null): PrepStep[] {
  const { hardware, makeUp, entry, practice, unit } = task;
  const steps: PrepStep[] = [];
  const add = (key: string, words: string, caution: string | null = null) =>
    steps.push({ key, words, caution });
  const show = (length: number) => formatLength(length, unit);
  add('right', 'The right cable, dark, and the kit complete? Check at the van.');
  add('diameter', 'Measure the outside diameter in three places; the largest counts.');
  if (entry.tracer)
    add('tracer', 'Split off the tracer or tone wire, back past where the seal will sit.', BLADE);
  if (seal) {
    const layers =
      seal.row.layers > 0 ? `, ${plural(seal.row.layers, 'layer')} peeled or spacers added` : '';
    const clip = seal.row.clip === '' ? '' : `, ${seal.row.clip}`;
    add(
      'seal',
      `Thread ${seal.row.seal}${layers}${clip}${seal.bushing ? ', with a bushing' : ''} onto the cable for ${seal.port}${seal.slit ? ', slit' : ''}, before anything is opened.`,
    );
  } else add('seal', 'Choose and thread the seal before anything is opened.');
  add('mark', `Lay the tape with its zero at ${plan.zero} and set every mark of the plan.`);
  add(
    'ring',
    entry.kind === 'express'
      ? `Ring-cut at 0 and at ${show(plan.opening)}, through the sheath only.`
      : `Ring-cut at ${show(plan.opening)}, through the sheath only.`,
    `${BLADE} Never into the tubes.`,
  );
  add(
    'sheath',
    entry.kind === 'drop'
      ? 'Score both edges down to the rods, split and peel the sheath off.'
      : 'Slit with the ripcord and peel the sheath off.',
    BLADE,
  );
  add('strength', `Trim the strength member to ${show(hardware.keep.strength)} past the sheath.`);
  if (entry.kind !== 'drop')
    add('yarn', 'Take off binder tape, yarn and filler rods; keep aramid and ripcord as marked.');
  if (entry.armoured)
    add('bond', 'Fit the shield connector and the bond before the cable is clamped.', LOCAL);
  const tool =
    practice.tubeTool === 'scorer'
      ? 'a fixed-depth scorer'
      : 'a wire stripper (it can nick fibers: slowly)';
  if (entry.kind === 'express') {
    for (const { unit: number, way } of entry.tubes)
      add(
        `tube ${number}`,
        way === 'dedicate'
          ? `Tube ${number}: check its number and colour twice, then cut it at the second ring cut.`
          : `Tube ${number}: cut a window at ${show(hardware.window)} from each sheath edge; take out only the fibers that are needed.`,
        `${GLASS} Cut no other tube.`,
      );
  }
  if (entry.kind !== 'express' || entry.tubes.some((tube) => tube.way === 'dedicate'))
    add(
      'score',
      `Score the tube with ${tool}, snap, and pull off in pieces as marked: none over ${formatLength(6096, unit, 'down')}.`,
      GLASS,
    );
  const clean = () => add('clean', 'Clean the gel off with solvent wipes, then dry.', SOLVENT);
  if (practice.gel === 'at once') clean();
  if (makeUp.kind === 'grouped-tube') {
    add('hitches', 'Group 1: six half hitches of its binder round it before the binder comes off.');
    add('offset', 'Group 2: cut an inch off its ends, as a second mark.', GLASS);
  }
  if (practice.gel === 'after grouping') clean();
  if (plan.tubing[0])
    add(
      'pairs',
      `Run the ribbons through ${plural(plan.tubing[0].count, 'tube')}: none twisted or crossed; note which runs where.`,
    );
  add(
    'clamp',
    'Clamp the sheath by hand, snug: a power driver or an over-tight clamp deforms the cable.',
  );
  add(
    'hose',
    `Hose clamp ${formatLength(hardware.hoseClamp, unit)} below the ring cut, inside the groove.`,
  );
  add(
    'route',
    `Route ${fiberCount(makeUp) === 1 ? 'the fiber' : 'tubes and fibers'} to their trays; tie at the tray’s entrance, loose enough to turn.`,
  );
  return steps;
}
