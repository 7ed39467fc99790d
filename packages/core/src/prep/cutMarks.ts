import type { MakeUp } from '../record/cable.ts';
import type { CableEntry, Hardware } from '../record/hardware.ts';
import type { Practice } from '../record/practice.ts';
import type { UnitKind } from '../fiber/parse.ts';
import type { Quantity } from '../record/message.ts';

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
  /** A length without which nothing can be cut; null where all are known. */
  missing: 'sleeves' | null;
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
  /** Trays on which its ribbons are spliced; left out while nothing is planned. */
  ribbonTrays?: number;
}

/** The longest piece of tube that is pulled off at once: 24 in, for a longer pull can break fibers (common practice). */
export const LONGEST_PULL = 6096;

/** A plan without marks yet. */
export const started = (zero: CutPlan['zero'], opening: number): CutPlan => ({
  zero,
  opening,
  marks: [],
  tails: [],
  tubing: [],
  whole: [],
  missing: null,
  checks: [],
});

/** What is trimmed past the sheath edge of a cut cable. */
export function trims(plan: CutPlan, hardware: Hardware, edge: number, makeUp: MakeUp): void {
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
export function scores(plan: CutPlan, from: number, to: number, part: ScoredPart): void {
  const pieces = Math.ceil(Math.abs(from - to) / LONGEST_PULL);
  for (let piece = 1; piece < pieces; piece++) {
    const at = Math.round(to + ((from - to) * piece) / pieces);
    plan.marks.push({ at, kind: 'score', message: { code: 'score', of: part }, round: 'near' });
  }
}

/** A length as a message has it; rounded up where nothing is said. */
export const length = (
  lengthTenthsMm: number,
  towards: 'up' | 'down' | 'near' = 'up',
): Quantity => ({
  lengthTenthsMm,
  towards,
});
