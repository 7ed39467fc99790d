import { spliceStateOf } from '../loss/spliceState.ts';
import { isMade, spliceStage } from '../loss/spliceStage.ts';
import { type Judgement, judgeSplice } from '../loss/verdict.ts';
import { type Figures, figuresOf } from '../prep/figures.ts';
import { legsOf, namedLeg } from '../prep/legs.ts';
import type { Leg } from '../record/splice.ts';
import { procedureOf } from '../prep/procedures/index.ts';
import { type CableLeg, type PortUse, sealPorts } from '../prep/seal.ts';
import { isHoseClamped } from '../prep/steps.ts';
import { FIBER_RADIUS } from '../prep/storage.ts';
import type { Closure } from '../record/closure.ts';
import type { Evidence } from '../record/evidence.ts';
import type { Assembly, CableEntry, Hardware } from '../record/hardware.ts';
import type { Limits } from '../record/limits.ts';
import type { Quantity, SplicePlaces } from '../record/message.ts';
import type {
  Ask,
  CLOSING_GROUPS,
  CableTrait,
  ClosingStepData,
  ClosingWork,
  PrepCaution,
} from '../record/procedure.ts';
import type { Splice } from '../record/splice.ts';

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
type PointLeg = Leg | 'none';

/** What a point of the list asks for. */
export type PointMessage =
  | { code: 'allSpliced' | 'noneToRedo' | 'cablesEntered' | 'hardwareHolds' }
  | { code: PlainPoint }
  /** Own words, with figures in braces. */
  | { code: 'ownWords'; words: string; figures: Figures }
  /** Sleeves in their slots, and the smallest radius of a fiber. */
  | { code: 'trayLaid'; tray: number; sleeves: number; radius: Quantity }
  | { code: 'traysStacked'; trays: number }
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

/** Splices of a closure as its list sees them, judged by their evidence in recorded order. */
export function closingSplices(
  splices: readonly Splice[],
  evidence: readonly Evidence[],
  limits: Limits,
): ClosingSplice[] {
  const entries = new Map<string, Evidence[]>(splices.map(({ id }) => [id, []]));
  for (const entry of evidence) entries.get(entry.spliceId)?.push(entry);
  return splices.map((splice) => {
    const spliceState = spliceStateOf(entries.get(splice.id)!);
    const judged = judgeSplice(spliceState, splice.method, limits);
    return { splice, judged, at: spliceState.tries.at(-1)?.at ?? null };
  });
}

/** All that a closing list is made from. */
export interface ClosingView {
  closure: Closure;
  assembly: Assembly;
  hardware: Hardware | null;
  splices: readonly ClosingSplice[];
  cableName(id: string): string;
}

/** The list of one closure, from its hardware, what enters it, and its trays; common practice, no source. */
export function closingPoints(view: ClosingView): ClosingPoint[] {
  const { hardware, assembly } = view;
  const sealed = hardware
    ? sealPorts(hardware, assembly.entries)
    : { ports: [], left: assembly.entries.map((entry) => ({ entry, leg: 'in' as const })) };
  const steps = hardware ? procedureOf(hardware).closing : HARDWARE_UNKNOWN;
  return [
    ...workPoints(view, sealed.left),
    ...steps.flatMap((step) => stepPoints(step, view, sealed.ports)),
  ];
}

/** What the plan says against what is there. */
function workPoints(view: ClosingView, left: readonly CableLeg[]): ClosingPoint[] {
  const { splices, assembly, hardware, closure } = view;
  const open = splices.filter(({ judged }) => ['open', 'skipped'].includes(spliceStage(judged)));
  const redo = splices.filter(({ judged }) => spliceStage(judged) === 'redo');
  const made = splices.filter(({ judged }) => isMade(judged)).length;
  const dead = splices.filter(({ judged }) => spliceStage(judged) === 'dead').length;
  const entered = new Set(assembly.entries.map((entry) => entry.cableId));
  const missing = [...new Set(splices.flatMap(({ splice }) => [splice.cableA, splice.cableB]))]
    .filter((id) => !entered.has(id))
    .map(view.cableName);
  const point = (message: PointMessage, ok: boolean, found: FoundMessage): ClosingPoint => ({
    key: `work:${WORK_KEYS[message.code as keyof typeof WORK_KEYS]}`,
    group: 'work',
    message,
    found: { ok, message: found },
  });
  return [
    point(
      { code: 'allSpliced' },
      splices.length > 0 && open.length === 0,
      splices.length === 0
        ? { code: 'nothingPlanned' }
        : {
            code: 'spliced',
            made,
            planned: splices.length - dead,
            dead,
            open: open.length,
            places: placesOf(open),
          },
    ),
    point(
      { code: 'noneToRedo' },
      redo.length === 0,
      redo.length === 0 ? { code: 'noneToRedo' } : { code: 'toRedo', places: placesOf(redo) },
    ),
    point(
      { code: 'cablesEntered' },
      missing.length === 0,
      missing.length === 0
        ? { code: 'cablesEntered', cables: assembly.entries.length }
        : { code: 'notEntered', cables: missing },
    ),
    point(
      { code: 'hardwareHolds' },
      hardware !== null && closure.trays.length <= hardware.trays.most && left.length === 0,
      hardware === null
        ? { code: 'noHardware' }
        : left.length > 0
          ? {
              code: 'noPort',
              cables: [...new Set(left.map(({ entry }) => view.cableName(entry.cableId)))],
            }
          : {
              code: 'traysHeld',
              hardware: hardware.name,
              trays: closure.trays.length,
              most: hardware.trays.most,
            },
    ),
  ];
}

/** Keys under which points of the work are kept. */
const WORK_KEYS = {
  allSpliced: 'spliced',
  noneToRedo: 'redo',
  cablesEntered: 'cables',
  hardwareHolds: 'hardware',
} as const;

const MOST_PLACES = 6;

/** Places of splices, each once. */
const placesOf = (list: readonly ClosingSplice[]): SplicePlaces => ({
  places: [
    ...new Map(
      list.map(({ splice: { tray, slot } }) => [`${tray}/${slot}`, { tray, slot }]),
    ).values(),
  ],
  most: MOST_PLACES,
});

/** What a point asks for, under the key that it is kept by. */
interface Asked {
  key: string;
  message: PointMessage;
  slots?: number[];
  port?: string;
}

/** The points that a step of the procedure makes: one, one for each thing that it is about, or none. */
function stepPoints(
  step: ClosingStepData,
  view: ClosingView,
  ports: readonly PortUse[],
): ClosingPoint[] {
  const { group, caution, timerS, photo, asks, words } = step;
  const { hardware } = view;
  return askedBy(step, view, ports).map(({ key, message, ...place }): ClosingPoint => ({
    key,
    group,
    message:
      words === '' || hardware === null
        ? message
        : { code: 'ownWords', words, figures: figuresOf(hardware, hardware.sheath.end) },
    ...place,
    ...(caution !== null && { caution }),
    ...(timerS !== null && { timerS }),
    ...(photo && { photo }),
    ...(asks.length > 0 && { asks }),
  }));
}

function askedBy(
  { work, key, when }: ClosingStepData,
  view: ClosingView,
  ports: readonly PortUse[],
): Asked[] {
  const { hardware, assembly, cableName } = view;
  const entering = assembly.entries.filter(
    (entry) =>
      (when.entries.length === 0 || when.entries.includes(entry.kind)) &&
      when.traits.every((trait) => hasTrait(entry, trait)),
  );
  const isAsked = when.entries.length + when.traits.length === 0 || entering.length > 0;
  const onLegs = (message: (entry: CableEntry, leg: Leg) => PointMessage): Asked[] =>
    entering.flatMap((entry) =>
      legsOf(entry).map((leg) => ({ key: legKey(key, entry, leg), message: message(entry, leg) })),
    );
  const onPorts = (uses: readonly PortUse[], message: (use: PortUse) => PointMessage): Asked[] =>
    uses.map((use) => ({
      key: `${key}:${use.port.name}`,
      message: message(use),
      port: use.port.name,
    }));
  const trays = traysInUse(view);
  switch (work) {
    case 'trayLaid':
      return trays.map(({ tray, slots }) => ({
        key: `tray:${tray}`,
        message: {
          code: 'trayLaid',
          tray,
          sleeves: slots.length,
          radius: { lengthTenthsMm: FIBER_RADIUS, towards: 'up' },
        },
        slots,
      }));
    case 'traysStacked':
      return trays.length > 0
        ? [{ key, message: { code: 'traysStacked', trays: trays.length } }]
        : [];
    case 'tubesRouted': {
      const cables = assembly.entries.map(({ cableId }) => cableName(cableId));
      return trays.length > 0 ? [{ key, message: { code: 'tubesRouted', cables } }] : [];
    }
    case 'cableHeld':
      return onLegs((entry, leg) => heldMessage(view, entry, leg));
    case 'shieldBonded':
      return onLegs((entry, leg) => ({
        code: 'shieldBonded',
        cable: cableName(entry.cableId),
        leg: legOf(entry, leg),
      }));
    case 'tracerOut':
      return entering.map((entry) => ({
        key: `${key}:${entry.id}`,
        message: { code: 'tracerOut', cable: cableName(entry.cableId) },
      }));
    case 'portSealed':
      return onPorts(ports, (use) => portMessage(view, use));
    case 'sealPin':
      return onPorts(
        ports.filter(({ entries }) => entries.length === 0),
        ({ port, plugs }) => ({ code: 'sealPin', port: port.name, plugs }),
      );
    case 'wedgeLatched':
      return onPorts(ports, ({ port }) => ({ code: 'wedgeLatched', port: port.name }));
    case 'bolts':
      return (hardware?.bolts ?? []).map((bolt, index, all) => ({
        key: `${key}:${bolt}`,
        message: { code: 'boltTight', bolt, place: index + 1, bolts: all.length },
      }));
    case 'boltsAgain':
      return hardware && hardware.bolts.length > 0
        ? [{ key, message: boltsMessage(hardware) }]
        : [];
    // Its words are the step's own.
    case null:
      return isAsked ? [{ key, message: { code: 'lidOn' } }] : [];
    default:
      return isAsked ? [{ key, message: { code: work } }] : [];
  }
}

/** Nothing but the trays and cables is known where no hardware is chosen. */
const HARDWARE_UNKNOWN = procedureOf({ form: 'drop-end', procedure: null }).closing.filter(
  ({ group }) => group === 'trays' || group === 'cables',
);

/** Steps of closing ask for nothing else of a cable. */
function hasTrait({ armoured, tracer }: CableEntry, trait: CableTrait): boolean {
  if (trait === 'armoured') return armoured;
  return trait === 'tracer' ? tracer : trait === 'metallic' && (armoured || tracer);
}

const legOf = (entry: CableEntry, leg: Leg): PointLeg => namedLeg(entry, leg) ?? 'none';

/** The first leg has the key of a cable that has one only. */
const legKey = (key: string, { id }: CableEntry, leg: Leg): string =>
  leg === 'in' ? `${key}:${id}` : `${key}:${id}:${leg}`;

/** Trays with splices, and the slots in use of each. */
function traysInUse({ splices, closure }: ClosingView): { tray: number; slots: number[] }[] {
  const slots = new Map<number, Set<number>>();
  for (const { splice } of splices)
    slots.set(splice.tray, (slots.get(splice.tray) ?? new Set()).add(splice.slot));
  return closure.trays
    .filter(({ number }) => slots.has(number))
    .map(({ number }) => ({
      tray: number,
      slots: [...slots.get(number)!].sort((a, b) => a - b),
    }));
}

function heldMessage(
  { cableName, hardware }: ClosingView,
  entry: CableEntry,
  leg: Leg,
): PointMessage {
  const held = { cable: cableName(entry.cableId), leg: legOf(entry, leg) };
  return hardware && isHoseClamped(hardware)
    ? {
        code: 'cableClamped',
        ...held,
        hoseClamp: { lengthTenthsMm: hardware.hoseClamp, towards: 'near' },
      }
    : { code: 'cableHeld', ...held };
}

const boltsMessage = ({ torqueMilliNm }: Hardware): PointMessage =>
  torqueMilliNm === null
    ? { code: 'boltsAgain' }
    : { code: 'boltsToTorque', torque: { torqueMilliNm } };

function portMessage({ cableName }: ClosingView, { port, entries, plugs }: PortUse): PointMessage {
  if (entries.length === 0) return { code: 'portPlugged', port: port.name, plugs: port.holes };
  const seals = entries.flatMap(({ seal }) => (seal?.ok ? [seal.value] : []));
  const seal = seals[0];
  const named = {
    port: port.name,
    cables: [...new Set(entries.map(({ entry }) => cableName(entry.cableId)))],
  };
  return seal
    ? {
        code: 'portSealed',
        ...named,
        seal: seal.row.seal,
        bushing: seal.bushing ? 'yes' : 'no',
        slit: seals.some((own) => own.slit) ? 'yes' : 'no',
        plugs,
      }
    : { code: 'portUnknownSeal', ...named, plugs };
}
