import { spliceStateOf } from '../loss/spliceState.ts';
import { isMade, spliceStage } from '../loss/spliceStage.ts';
import { type Judgement, judgeSplice } from '../loss/verdict.ts';
import { type PortUse, sealPorts } from '../prep/seal.ts';
import { isHoseClamped } from '../prep/steps.ts';
import { FIBER_RADIUS } from '../prep/storage.ts';
import type { Closure } from '../record/closure.ts';
import type { Evidence } from '../record/evidence.ts';
import type { Assembly, CableEntry, Hardware } from '../record/hardware.ts';
import type { Limits } from '../record/limits.ts';
import type { Quantity, SplicePlaces } from '../record/message.ts';
import type { Splice } from '../record/splice.ts';

export const POINT_GROUPS = ['work', 'trays', 'cables', 'ports', 'faces', 'bolts'] as const;
export type PointGroup = (typeof POINT_GROUPS)[number];

/** What a point of the list asks for. */
export type PointMessage =
  | { code: 'allSpliced' | 'noneToRedo' | 'cablesEntered' | 'hardwareHolds' }
  /** Sleeves in their slots, and the smallest radius of a fiber. */
  | { code: 'trayLaid'; tray: number; sleeves: number; radius: Quantity }
  | { code: 'traysStacked'; trays: number }
  | { code: 'tubesRouted'; cables: readonly string[] }
  | { code: 'cableHeld'; cable: string }
  /** The hose clamp sits so far below the ring cut. */
  | { code: 'cableClamped'; cable: string; hoseClamp: Quantity }
  | { code: 'shieldBonded' | 'tracerOut'; cable: string }
  | { code: 'portPlugged'; port: string; plugs: number }
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
  | { code: 'facesClean' | 'gelClean' | 'gasketSeated' | 'wedgesSeated' }
  /** The place of the bolt in the order of all. */
  | { code: 'boltTight'; bolt: number; place: number; bolts: number }
  | { code: 'boltsAgain' };

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
  caution?: 'metallicCable';
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
    : { ports: [], left: [...assembly.entries] };
  return [
    ...workPoints(view, sealed.left),
    ...trayPoints(view),
    ...assembly.entries.flatMap((entry) => cablePoints(view, entry)),
    ...sealed.ports.map((use) => portPoint(view, use)),
    ...facePoints(hardware),
    ...boltPoints(hardware),
  ];
}

/** What the plan says against what is there. */
function workPoints(view: ClosingView, left: readonly CableEntry[]): ClosingPoint[] {
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
          ? { code: 'noPort', cables: left.map(({ cableId }) => view.cableName(cableId)) }
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

function trayPoints({ splices, closure, assembly, cableName }: ClosingView): ClosingPoint[] {
  const slots = new Map<number, Set<number>>();
  for (const { splice } of splices)
    slots.set(splice.tray, (slots.get(splice.tray) ?? new Set()).add(splice.slot));
  const trays = closure.trays.filter(({ number }) => slots.has(number));
  if (trays.length === 0) return [];
  const points = trays.map(({ number }): ClosingPoint => {
    const used = [...slots.get(number)!].sort((a, b) => a - b);
    return {
      key: `tray:${number}`,
      group: 'trays',
      message: {
        code: 'trayLaid',
        tray: number,
        sleeves: used.length,
        radius: { lengthTenthsMm: FIBER_RADIUS, towards: 'up' },
      },
      slots: used,
    };
  });
  return [
    ...points,
    {
      key: 'trays:stack',
      group: 'trays',
      message: { code: 'traysStacked', trays: trays.length },
    },
    {
      key: 'tubes',
      group: 'trays',
      message: {
        code: 'tubesRouted',
        cables: assembly.entries.map(({ cableId }) => cableName(cableId)),
      },
    },
  ];
}

function cablePoints({ cableName, hardware }: ClosingView, entry: CableEntry): ClosingPoint[] {
  const cable = cableName(entry.cableId);
  const points: ClosingPoint[] = [
    {
      key: `cable:${entry.id}`,
      group: 'cables',
      message:
        hardware && isHoseClamped(hardware)
          ? {
              code: 'cableClamped',
              cable,
              hoseClamp: { lengthTenthsMm: hardware.hoseClamp, towards: 'near' },
            }
          : { code: 'cableHeld', cable },
    },
  ];
  if (entry.armoured)
    points.push({
      key: `bond:${entry.id}`,
      group: 'cables',
      message: { code: 'shieldBonded', cable },
      caution: 'metallicCable',
    });
  if (entry.tracer)
    points.push({
      key: `tracer:${entry.id}`,
      group: 'cables',
      message: { code: 'tracerOut', cable },
    });
  return points;
}

function portPoint({ cableName }: ClosingView, { port, entries, plugs }: PortUse): ClosingPoint {
  const point = { key: `port:${port.name}`, group: 'ports' as const, port: port.name };
  if (entries.length === 0)
    return { ...point, message: { code: 'portPlugged', port: port.name, plugs: port.holes } };
  const seals = entries.flatMap(({ seal }) => (seal?.ok ? [seal.value] : []));
  const seal = seals[0];
  const named = { port: port.name, cables: entries.map(({ entry }) => cableName(entry.cableId)) };
  return {
    ...point,
    message: seal
      ? {
          code: 'portSealed',
          ...named,
          seal: seal.row.seal,
          bushing: seal.bushing ? 'yes' : 'no',
          slit: seals.some((own) => own.slit) ? 'yes' : 'no',
          plugs,
        }
      : { code: 'portUnknownSeal', ...named, plugs },
  };
}

function facePoints(hardware: Hardware | null): ClosingPoint[] {
  if (hardware === null || hardware.form === 'rack') return [];
  const gel = hardware.form === 'drop';
  return [
    { key: 'faces', group: 'faces', message: { code: gel ? 'gelClean' : 'facesClean' } },
    { key: 'gasket', group: 'faces', message: { code: gel ? 'wedgesSeated' : 'gasketSeated' } },
  ];
}

function boltPoints(hardware: Hardware | null): ClosingPoint[] {
  if (hardware === null || hardware.bolts.length === 0) return [];
  const bolts = hardware.bolts.length;
  return [
    ...hardware.bolts.map((bolt, index): ClosingPoint => ({
      key: `bolt:${bolt}`,
      group: 'bolts',
      message: { code: 'boltTight', bolt, place: index + 1, bolts },
    })),
    { key: 'bolts:again', group: 'bolts', message: { code: 'boltsAgain' } },
  ];
}
