import type { Judgement } from '../loss/verdict.ts';
import type { Figures } from '../prep/figures.ts';
import type { Closure } from '../record/closure.ts';
import type { Assembly, Hardware } from '../record/hardware.ts';
import type { Quantity, SplicePlaces } from '../record/message.ts';
import type { Ask, CLOSING_GROUPS, ClosingWork, PrepCaution } from '../record/procedure.ts';
import type { Leg, Splice } from '../record/splice.ts';

/** The part of the list that a point is in: what the record says by itself, and what its procedure has. */
export type PointGroup = 'work' | (typeof CLOSING_GROUPS)[number];

/** Works of which a point says the same for every closure. */
export type PlainPoint = Exclude<
  ClosingWork,
  | 'trayLaid'
  | 'traysStacked'
  | 'tubesRouted'
  | 'cableHeld'
  | 'shieldBonded'
  | 'tracerOut'
  | 'portSealed'
  | 'sealPin'
  | 'wedgeLatched'
  | 'bolts'
  | 'boltsAgain'
>;

/** The leg of an express cable; `none` of a cable that has one only. */
export type PointLeg = Leg | 'none';

/** What a point of the list asks for. */
export type PointMessage =
  | { code: 'allSpliced' | 'noneToRedo' | 'cablesEntered' | 'hardwareHolds' }
  | { code: PlainPoint }
  /** Own words, with figures in braces. */
  | { code: 'ownWords'; words: string; figures: Figures }
  /** Sleeves in their slots, and the smallest radius of a fiber. */
  | { code: 'trayLaid'; tray: number; sleeves: number; radius: Quantity }
  | { code: 'traysStacked'; trays: number }
  /** Ends at ports; free ports have their caps on too. */
  | { code: 'endsCapped'; ends: number }
  | { code: 'tubesRouted'; cables: readonly string[] }
  | { code: 'cableHeld'; cable: string; leg: PointLeg }
  /** The hose clamp sits so far below the ring cut. */
  | { code: 'cableClamped'; cable: string; leg: PointLeg; hoseClamp: Quantity }
  | { code: 'shieldBonded'; cable: string; leg: PointLeg }
  | { code: 'tracerOut'; cable: string }
  | { code: 'portPlugged' | 'sealPin'; port: string; plugs: number }
  | { code: 'wedgeLatched'; port: string }
  | { code: 'portUnknownSeal'; port: string; cables: readonly string[]; plugs: number }
  | {
      code: 'portSealed';
      port: string;
      cables: readonly string[];
      seal: string;
      bushing: 'yes' | 'no';
      slit: 'yes' | 'no';
      plugs: number;
    }
  /** The place of the bolt in the order of all. */
  | { code: 'boltTight'; bolt: number; place: number; bolts: number }
  | { code: 'boltsAgain' }
  | { code: 'boltsToTorque'; torque: Quantity };

/** What the record itself says of a point. */
export type FoundMessage =
  | { code: 'nothingPlanned' | 'noneToRedo' | 'noHardware' }
  | {
      code: 'spliced';
      made: number;
      planned: number;
      dead: number;
      open: number;
      places: SplicePlaces;
    }
  | { code: 'toRedo'; places: SplicePlaces }
  | { code: 'cablesEntered'; cables: number }
  | { code: 'notEntered' | 'noPort'; cables: readonly string[] }
  | { code: 'traysHeld'; hardware: string; trays: number; most: number };

/** A point of the list that is gone through before a cover goes on. */
export interface ClosingPoint {
  /** Stays the same while the closure stays as it is: `port:Oval`, `tray:3`, `bolt:4`. */
  key: string;
  group: PointGroup;
  message: PointMessage;
  /** What must be known before it is touched. */
  caution?: PrepCaution;
  /** Seconds to wait before it is ticked. */
  timerS?: number;
  /** Whether a photo is asked for. */
  photo?: true;
  /** What is to be written down with it. */
  asks?: readonly Ask[];
  /** Slots in use of the tray it is about. */
  slots?: number[];
  /** The port it is about. */
  port?: string;
  /** What the record itself says: it need not be looked at, and is not taken for good by a tick. */
  found?: { ok: boolean; message: FoundMessage };
}

/** A splice with its verdict and the moment of its last arc. */
export interface ClosingSplice {
  splice: Splice;
  judged: Pick<Judgement, 'verdict' | 'redo'>;
  /** When it was fused last; null where it is not. */
  at: string | null;
}

/** All that a closing list is made from. */
export interface ClosingView {
  closure: Closure;
  assembly: Assembly;
  hardware: Hardware | null;
  splices: readonly ClosingSplice[];
  cableName(id: string): string;
  /** Whether it is a splitter or ports: they enter with no cable. */
  isDevice(id: string): boolean;
}
