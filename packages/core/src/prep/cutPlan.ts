import type { MakeUp } from '../record/cable.ts';
import type { CableEntry, Hardware } from '../record/hardware.ts';
import type { Practice } from '../record/practice.ts';
import { type UnitKind, unitKind } from '../fiber/parse.ts';
import type { Quantity } from '../record/message.ts';
import { FIBER_RADIUS, cableRadius, coilsIn } from './storage.ts';

/** What is marked at a place of the tape. `kept` is what stays past the sheath. */
export type MarkMessage =
  | {
      code:
        | 'sheathEnds'
        | 'dropSheathEnds'
        | 'firstRingCut'
        | 'secondRingCut'
        | 'strengthEnds'
        | 'aramidEnds'
        | 'ripcordEnds'
        | 'window';
    }
  /** Of tubes whose fibers are wanted on that leg. */
  | { code: 'dedicatedCut' | 'dedicatedScore'; leg: WantedLeg }
  | { code: 'accessCut'; waste: Quantity }
  | { code: 'tubesEnd' | 'centralTubeEnds' | 'dropTubeEnds' | 'strength' | 'rods'; kept: Quantity }
  | { code: 'clamp'; below: Quantity }
  | { code: 'score'; of: ScoredPart };

/** The leg of an express cable whose fibers are wanted. */
export type WantedLeg = 'in' | 'out' | 'both';

/** What is scored and pulled off in pieces. */
export type ScoredPart = 'tubes' | 'centralTube' | 'cutTubes' | 'tube';

/** A place on the tape, in tenths of a millimeter from its zero. */
export interface CutMark {
  at: number;
  kind: 'ring cut' | 'access cut' | 'trim' | 'score' | 'window' | 'tube cut' | 'clamp';
  message: MarkMessage;
  /** Which way a tape's figure is rounded, so that nothing gets shorter than is needed. */
  round: 'up' | 'down' | 'near';
}

/** What lengths imply. */
export type PrepMessage =
  | { code: 'sheetTooShort'; sheet: Quantity; sheath: Quantity; toTray: Quantity; onTray: Quantity }
  | { code: 'tailsReach'; tail: Quantity; asked: Quantity }
  | { code: 'basketTooNarrow'; least: Quantity }
  /** Tubes that pass through, coiled in the basket. */
  | {
      code: 'basketHolds';
      tubes: number;
      turns: number;
      turn: Quantity;
      radius: Quantity;
      height: Quantity;
    }
  | {
      code: 'basketTooShallow';
      tubes: number;
      turns: number;
      turn: Quantity;
      radius: Quantity;
      height: Quantity;
      depth: Quantity;
    }
  | { code: 'doesNotReach'; tail: Quantity; least: Quantity }
  /** `redos` x `each` is what the tail has beyond what stays on the tray, or reaches into the splicer. */
  | {
      code: 'slack';
      redos: number;
      each: Quantity;
      planned: number;
      tail: Quantity;
      needed: Quantity;
    }
  /** Sleeves from the kit to the chassis, and what is bare past them. */
  | {
      code: 'rackLengths' | 'workingLengthShort';
      sheath: Quantity;
      sleeves: Quantity;
      working: Quantity;
      least: Quantity;
    }
  /** The piece that gives hold of the ripcord is waste, and comes off besides. */
  | { code: 'accessWaste'; sheet: Quantity; waste: Quantity; sheath: Quantity }
  /** Sleeves run through the conduit and reach past both its ends. */
  | { code: 'conduitInSleeves' | 'conduitTooLong'; conduit: Quantity; sleeves: Quantity }
  | { code: 'windowInRibbon'; ribbon: number }
  | { code: 'longestPull'; pull: Quantity; most: Quantity }
  | { code: 'loopReaches'; loop: Quantity; reach: Quantity }
  | { code: 'loopTooShort'; missing: Quantity; reach: Quantity }
  | { code: 'bendRadius'; load: Quantity; rest: Quantity };

/** Something the lengths imply: whether it holds, and the figures. */
export interface PrepCheck {
  ok: boolean;
  message: PrepMessage;
}

/** Fiber that a way of opening leaves. */
export type Tail = 'pastTube' | 'dedicated' | 'dedicatedBoth' | 'window';

/** Tubing through which ribbons run to their trays. */
export type Tubing = 'protectiveSleeves' | 'transportTubes' | 'conduit';

/** What must stay whole. */
export type WholeMessage =
  { code: 'passThrough'; unit: UnitKind; units: number } | { code: 'bindersStay' };

/** Where to mark and cut one cable. Lengths in tenths of a millimeter. */
export interface CutPlan {
  /** Where the tape begins. */
  zero: 'cableEnd' | 'firstRingCut';
  /** Sheath that comes off: between the zero and the ring cut, or between both ring cuts. */
  opening: number;
  /** From the zero on. */
  marks: CutMark[];
  /** Fiber that each way of opening leaves past the tube, for the tray. */
  tails: { code: Tail; length: number }[];
  /** Tubing to cut beforehand. */
  tubing: { code: Tubing; count: number; length: number }[];
  /** What must stay whole. */
  whole: WholeMessage[];
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
  // In a rack the sheet's figure is what is bare past the sleeves, inside the chassis.
  const working = Math.max(hardware.sheath.end, entry.inside);
  const sheet = rack ? entry.route + working : hardware.sheath.end;
  const used = rack ? sheet : Math.max(sheet, hardware.tubeToTray + practice.trayFiber);
  const { access } = hardware;
  const opening = used + access;
  const tail = rack ? working : used - hardware.tubeToTray;
  const plan = started('cableEnd', opening);
  if (access > 0)
    plan.marks.push({
      at: access,
      kind: 'access cut',
      message: { code: 'accessCut', waste: length(access) },
      round: 'near',
    });
  const central = makeUp.kind === 'ribbon';
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
  if (rack)
    plan.marks.push({
      at: opening + hardware.clamp,
      kind: 'clamp',
      message: { code: 'clamp', below: length(hardware.clamp) },
      round: 'up',
    });
  plan.tails.push({ code: 'pastTube', length: tail });
  if (makeUp.kind === 'ribbon') plan.tubing.push(ribbonTubing(task, rack));
  if (rack) {
    const lengths = {
      sheath: length(opening),
      sleeves: length(entry.route),
      working: length(working),
      least: length(hardware.sheath.end),
    };
    const isShort = entry.inside > 0 && entry.inside < hardware.sheath.end;
    plan.checks.push({
      ok: !isShort,
      message: { code: isShort ? 'workingLengthShort' : 'rackLengths', ...lengths },
    });
    if (entry.conduit > 0) {
      plan.tubing.push({ code: 'conduit', count: 1, length: entry.conduit });
      const fits = entry.conduit < entry.route;
      plan.checks.push({
        ok: fits,
        message: {
          code: fits ? 'conduitInSleeves' : 'conduitTooLong',
          conduit: length(entry.conduit),
          sleeves: length(entry.route),
        },
      });
    }
    finish(plan, task, tail);
    return plan;
  }
  if (access > 0)
    plan.checks.push({
      ok: true,
      message: {
        code: 'accessWaste',
        sheet: length(used),
        waste: length(access),
        sheath: length(opening),
      },
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
  const total =
    makeUp.kind === 'ribbon' ? makeUp.ribbons : makeUp.kind === 'drop' ? 1 : makeUp.tubes;
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

/** Whether tubes that pass through lie in the basket, bent no tighter than fiber may be. */
function storageCheck({ basket }: Hardware, opening: number, tubes: number): PrepCheck {
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

const started = (zero: CutPlan['zero'], opening: number): CutPlan => ({
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
  const kept = [
    ['strength', 'strengthEnds'],
    ['aramid', 'aramidEnds'],
    ['ripcord', 'ripcordEnds'],
  ] as const;
  for (const [key, code] of kept)
    plan.marks.push({
      at: edge - hardware.keep[key],
      kind: 'trim',
      message: { code },
      round: 'down',
    });
  if (makeUp.kind === 'grouped-tube') plan.whole.push({ code: 'bindersStay' });
}

/** Scores between which a tube comes off in equal pieces, none longer than can be pulled. */
function scores(plan: CutPlan, from: number, to: number, part: ScoredPart): void {
  const pieces = Math.ceil(Math.abs(from - to) / LONGEST_PULL);
  for (let piece = 1; piece < pieces; piece++) {
    const at = Math.round(to + ((from - to) * piece) / pieces);
    plan.marks.push({ at, kind: 'score', message: { code: 'score', of: part }, round: 'near' });
  }
}

/** Tubes or sleeves through which ribbons run to their trays. */
function ribbonTubing(task: CutTask, rack: boolean): CutPlan['tubing'][number] {
  const { hardware, makeUp, entry } = task;
  const ribbons = makeUp.kind === 'ribbon' ? makeUp.ribbons : 0;
  if (rack)
    return {
      code: 'protectiveSleeves',
      count: Math.ceil(ribbons / 2),
      length: entry.route,
    };
  return {
    code: 'transportTubes',
    count: Math.ceil(ribbons / Math.max(1, hardware.trays.mass)),
    length: hardware.tubeToTray,
  };
}

/** The checks that every plan has, and its marks in order. */
function finish(plan: CutPlan, task: CutTask, tail: number | null): void {
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

/** The longest stretch between two neighbouring tube marks: what is pulled off in one piece. */
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

const length = (lengthTenthsMm: number, towards: 'up' | 'down' | 'near' = 'up'): Quantity => ({
  lengthTenthsMm,
  towards,
});
