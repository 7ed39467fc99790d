import { unitSize } from '../fiber/address.ts';
import { fiberCount } from '../record/cable.ts';
import { unitKind } from '../fiber/parse.ts';
import { finish, storageCheck } from './cutChecks.ts';
import {
  type CutMark,
  type CutPlan,
  type CutTask,
  type WantedLeg,
  length,
  scores,
  started,
  trims,
} from './cutMarks.ts';

/** The marks and cuts of one cable, by how it enters. */
export function cutPlan(task: CutTask): CutPlan {
  const { entry, hardware } = task;
  if (entry.kind === 'express') return expressPlan(task);
  if (entry.kind === 'drop') return dropPlan(task);
  return hardware.form === 'rack' ? rackPlan(task) : endPlan(task);
}

function endPlan(task: CutTask): CutPlan {
  const { hardware, makeUp, practice } = task;
  const sheet = hardware.sheath.end;
  const used = Math.max(sheet, hardware.tubeToTray + practice.trayFiber);
  const tail = used - hardware.tubeToTray;
  const plan = cutEnd(task, used, tail);
  if (makeUp.kind === 'ribbon')
    plan.tubing.push({
      code: 'transportTubes',
      // One for each tray that its ribbons go to; without a plan for as many trays as they would fill.
      count: task.ribbonTrays ?? Math.ceil(makeUp.ribbons / Math.max(1, hardware.trays.mass)),
      length: hardware.tubeToTray,
    });
  plan.checks.push(
    used > sheet
      ? {
          ok: false,
          message: {
            code: 'sheetTooShort',
            sheet: length(sheet),
            sheath: length(used),
            toTray: length(hardware.tubeToTray),
            onTray: length(practice.trayFiber),
          },
        }
      : {
          ok: true,
          message: {
            code: 'tailsReach',
            tail: length(tail, 'down'),
            asked: length(practice.trayFiber),
          },
        },
  );
  finish(plan, task, tail);
  return plan;
}

/** In a rack the sheet's figure is what is bare past the sleeves, inside the chassis. */
function rackPlan(task: CutTask): CutPlan {
  const { hardware, makeUp, entry } = task;
  const least = hardware.sheath.end;
  const working = Math.max(least, entry.inside);
  const used = entry.route + working;
  const plan = cutEnd(task, used, working);
  // Sleeves of no length are sleeves that nobody has measured.
  if (entry.route === 0) return { ...started('cableEnd', 0), missing: 'sleeves' };
  plan.marks.push({
    at: plan.opening + hardware.clamp,
    kind: 'clamp',
    message: { code: 'clamp', below: length(hardware.clamp) },
    round: 'up',
  });
  // One sleeve for every two ribbons (common practice).
  if (makeUp.kind === 'ribbon')
    plan.tubing.push({
      code: 'protectiveSleeves',
      count: Math.ceil(makeUp.ribbons / 2),
      length: entry.route,
    });
  const isShort = entry.inside > 0 && entry.inside < least;
  plan.checks.push({
    ok: !isShort,
    message: {
      code: isShort ? 'workingLengthShort' : 'rackLengths',
      sheath: length(used),
      sleeves: length(entry.route),
      working: length(working),
      least: length(least),
    },
  });
  if (entry.conduit > 0) conduit(plan, entry.conduit, entry.route);
  finish(plan, task, working);
  return plan;
}

/** The conduit is shorter than the sleeves that run through it. */
function conduit(plan: CutPlan, long: number, sleeves: number): void {
  const fits = long < sleeves;
  plan.tubing.push({ code: 'conduit', count: 1, length: long });
  plan.checks.push({
    ok: fits,
    message: {
      code: fits ? 'conduitInSleeves' : 'conduitTooLong',
      conduit: length(long),
      sleeves: length(sleeves),
    },
  });
}

/**
 * The marks of a cable's end, with the piece that gives hold of the ripcord, which is waste.
 * @param used sheath that comes off besides that piece
 * @param tail fiber that it leaves past the tube
 */
function cutEnd({ hardware, makeUp }: CutTask, used: number, tail: number): CutPlan {
  const { access } = hardware;
  const opening = used + access;
  const plan = started('cableEnd', opening);
  if (access > 0) {
    plan.marks.push({
      at: access,
      kind: 'access cut',
      message: { code: 'accessCut', waste: length(access) },
      round: 'near',
    });
    plan.checks.push({
      ok: true,
      message: {
        code: 'accessWaste',
        sheet: length(used),
        waste: length(access),
        sheath: length(opening),
      },
    });
  }
  const central = makeUp.kind === 'ribbon';
  const kept = central ? hardware.keep.centralTube : hardware.tubeToTray;
  plan.marks.push({
    at: opening,
    kind: 'ring cut',
    message: { code: 'sheathEnds' },
    round: 'up',
  });
  trims(plan, hardware, opening, makeUp);
  plan.marks.push({
    at: opening - kept,
    kind: 'tube cut',
    message: { code: central ? 'centralTubeEnds' : 'tubesEnd', kept: length(kept) },
    round: 'down',
  });
  scores(plan, opening - kept, access, central ? 'centralTube' : 'tubes');
  plan.tails.push({ code: 'pastTube', length: tail });
  return plan;
}

function expressPlan(task: CutTask): CutPlan {
  const { hardware, makeUp, entry } = task;
  const opening = hardware.sheath.express;
  const plan = started('firstRingCut', opening);
  plan.marks.push({ at: 0, kind: 'ring cut', message: { code: 'firstRingCut' }, round: 'up' });
  plan.marks.push({
    at: opening,
    kind: 'ring cut',
    message: { code: 'secondRingCut' },
    round: 'up',
  });
  const { strength } = hardware.keep;
  plan.marks.push({
    at: strength,
    kind: 'trim',
    message: { code: 'strength', kept: length(strength) },
    round: 'up',
  });
  plan.marks.push({
    at: opening - strength,
    kind: 'trim',
    message: { code: 'strength', kept: length(strength) },
    round: 'down',
  });
  const ways = new Set(entry.tubes.map((tube) => tube.way));
  let shortest = Infinity;
  const wanted = new Set(
    entry.tubes.filter(({ way }) => way === 'dedicate').map(({ leg }) => leg ?? 'in'),
  );
  for (const leg of wanted) shortest = Math.min(shortest, dedicate(plan, leg, task, opening));
  if (ways.has('window')) {
    const tail = opening - 2 * hardware.window;
    shortest = Math.min(shortest, tail);
    for (const at of [hardware.window, opening - hardware.window])
      plan.marks.push({
        at,
        kind: 'window',
        message: { code: 'window' },
        round: 'near',
      });
    plan.tails.push({ code: 'window', length: Math.max(0, tail) });
  }
  const total = fiberCount(makeUp) / unitSize(makeUp);
  if (makeUp.kind === 'ribbon')
    for (const { unit, way } of entry.tubes)
      if (way === 'window')
        plan.checks.push({ ok: false, message: { code: 'windowInRibbon', ribbon: unit } });
  const untouched = total - entry.tubes.length;
  if (untouched > 0)
    plan.whole.push({ code: 'passThrough', unit: unitKind(makeUp), units: untouched });
  if (untouched > 0) plan.checks.push(storageCheck(task.hardware, opening, untouched));
  if (shortest < Infinity) finish(plan, task, shortest);
  else finish(plan, task, null);
  return plan;
}

/**
 * The cut of a tube at the far side of the fibers that are wanted, so that they keep the longest tail; in the middle
 * where both sides are.
 * @returns the tail
 */
function dedicate(
  plan: CutPlan,
  leg: WantedLeg,
  { hardware: { tubeToTray } }: CutTask,
  opening: number,
): number {
  const cut = { in: opening, out: 0, both: Math.round(opening / 2) }[leg];
  const mark = (at: number, kind: CutMark['kind'], code: 'dedicatedCut' | 'dedicatedScore') =>
    plan.marks.push({ at, kind, message: { code, leg }, round: leg === 'out' ? 'down' : 'up' });
  mark(cut, 'tube cut', 'dedicatedCut');
  if (leg !== 'out') {
    mark(tubeToTray, 'score', 'dedicatedScore');
    scores(plan, cut, tubeToTray, 'cutTubes');
  }
  if (leg !== 'in') {
    mark(opening - tubeToTray, 'score', 'dedicatedScore');
    scores(plan, cut, opening - tubeToTray, 'cutTubes');
  }
  const tail = Math.max(0, (leg === 'both' ? cut : opening) - tubeToTray);
  const code = leg === 'both' ? 'dedicatedBoth' : 'dedicated';
  if (!plan.tails.some((own) => own.code === code)) plan.tails.push({ code, length: tail });
  return tail;
}

function dropPlan(task: CutTask): CutPlan {
  const { hardware } = task;
  const opening = hardware.sheath.drop;
  const { dropTube, strength } = hardware.keep;
  const plan = started('cableEnd', opening);
  plan.marks.push({
    at: opening,
    kind: 'ring cut',
    message: { code: 'dropSheathEnds' },
    round: 'up',
  });
  plan.marks.push({
    at: opening - strength,
    kind: 'trim',
    message: { code: 'rods', kept: length(strength) },
    round: 'down',
  });
  plan.marks.push({
    at: opening - dropTube,
    kind: 'tube cut',
    message: { code: 'dropTubeEnds', kept: length(dropTube) },
    round: 'down',
  });
  scores(plan, opening - dropTube, 0, 'tube');
  const tail = opening - dropTube;
  plan.tails.push({ code: 'pastTube', length: tail });
  finish(plan, task, tail);
  return plan;
}
