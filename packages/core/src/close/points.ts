import { formatLength } from '../measure/length.ts';
import type { LengthUnit } from '../record/units.ts';
import { plural } from '../measure/count.ts';
import { standingOf } from '../loss/standing.ts';
import { isMade, spliceState } from '../loss/spliceState.ts';
import { type Judgement, judgeSplice } from '../loss/verdict.ts';
import { type PortUse, sealPorts } from '../prep/seal.ts';
import { FIBER_RADIUS } from '../prep/storage.ts';
import type { Closure } from '../record/closure.ts';
import type { Evidence } from '../record/evidence.ts';
import type { Assembly, CableEntry, Hardware } from '../record/hardware.ts';
import type { Limits } from '../record/limits.ts';
import type { Splice } from '../record/splice.ts';

export const POINT_GROUPS = ['Work', 'Trays', 'Cables', 'Ports', 'Faces', 'Bolts'] as const;
export type PointGroup = (typeof POINT_GROUPS)[number];

/** A point of the list that is gone through before a cover goes on. */
export interface ClosingPoint {
  /** Stays the same while the closure stays as it is: `port:Oval`, `tray:3`, `bolt:4`. */
  key: string;
  group: PointGroup;
  words: string;
  /** What to do where it is not so. */
  ifBad: string;
  caution?: string;
  /** Slots in use of the tray it is about. */
  slots?: number[];
  /** The port it is about. */
  port?: string;
  /** What the record itself says: it need not be looked at, and is not taken for good by a tick. */
  found?: { ok: boolean; words: string };
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
    const standing = standingOf(entries.get(splice.id)!);
    const judged = judgeSplice(standing, splice.method, limits);
    return { splice, judged, at: standing.tries.at(-1)?.at ?? null };
  });
}

/** All that a closing list is made from. */
export interface ClosingView {
  closure: Closure;
  assembly: Assembly;
  hardware: Hardware | null;
  splices: readonly ClosingSplice[];
  cableName(id: string): string;
  unit: LengthUnit;
}

const listed = (names: readonly string[]): string => names.join(', ');

/** The list of one closure, from its hardware, what enters it, and its trays; common practice, no source. */
export function closingPoints(view: ClosingView): ClosingPoint[] {
  const { hardware, assembly } = view;
  const sealed = hardware
    ? sealPorts(hardware, assembly.entries, view.unit)
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
  const open = splices.filter(({ judged }) => ['open', 'skipped'].includes(spliceState(judged)));
  const redo = splices.filter(({ judged }) => spliceState(judged) === 'redo');
  const made = splices.filter(({ judged }) => isMade(judged)).length;
  const dead = splices.filter(({ judged }) => spliceState(judged) === 'dead').length;
  const entered = new Set(assembly.entries.map((entry) => entry.cableId));
  const missing = [...new Set(splices.flatMap(({ splice }) => [splice.cableA, splice.cableB]))]
    .filter((id) => !entered.has(id))
    .map(view.cableName);
  const point = (
    key: string,
    words: string,
    ok: boolean,
    said: string,
    ifBad: string,
  ): ClosingPoint => ({
    key: `work:${key}`,
    group: 'Work',
    words,
    ifBad,
    found: { ok, words: said },
  });
  return [
    point(
      'spliced',
      'All planned splices are made',
      splices.length > 0 && open.length === 0,
      splices.length === 0
        ? 'Nothing is planned.'
        : `${made} of ${splices.length - dead} are spliced${dead > 0 ? `, ${dead} dead` : ''}${open.length > 0 ? `; not yet: ${placesOf(open)}` : ''}.`,
      'Go to the Bench and splice them, or take them out of the plan.',
    ),
    point(
      'redo',
      'None is to be made again',
      redo.length === 0,
      redo.length === 0 ? 'None.' : `To redo: ${placesOf(redo)}.`,
      'Go to the Bench and redo them, or let the lead accept them there.',
    ),
    point(
      'cables',
      'Every cable that is spliced enters here',
      missing.length === 0,
      missing.length === 0
        ? `${plural(assembly.entries.length, 'cable')}.`
        : `Not entered: ${listed(missing)}.`,
      'Enter them under Open the cables, with diameter and port.',
    ),
    point(
      'hardware',
      'The closure holds what is in it',
      hardware !== null && closure.trays.length <= hardware.trays.most && left.length === 0,
      hardware === null
        ? 'No hardware is chosen.'
        : left.length > 0
          ? `No port for ${listed(left.map(({ cableId }) => view.cableName(cableId)))}.`
          : `${hardware.name}: ${closure.trays.length} of ${hardware.trays.most} trays.`,
      'Choose the hardware and the ports under Open the cables.',
    ),
  ];
}

const MOST_PLACES = 6;

/** Places of splices, the first few of many: `tray 3 slot 5, tray 4 slot 1 and 7 more`. */
function placesOf(list: readonly ClosingSplice[]): string {
  const places = [...new Set(list.map(({ splice }) => `tray ${splice.tray} slot ${splice.slot}`))];
  const more = places.length - MOST_PLACES;
  return more > 0
    ? `${places.slice(0, MOST_PLACES).join(', ')} and ${more} more`
    : places.join(', ');
}

function trayPoints({ splices, closure, unit, assembly, cableName }: ClosingView): ClosingPoint[] {
  const slots = new Map<number, Set<number>>();
  for (const { splice } of splices)
    slots.set(splice.tray, (slots.get(splice.tray) ?? new Set()).add(splice.slot));
  const trays = closure.trays.filter(({ number }) => slots.has(number));
  if (trays.length === 0) return [];
  const radius = formatLength(FIBER_RADIUS, unit, 'up');
  const points = trays.map(({ number }): ClosingPoint => {
    const used = [...slots.get(number)!].sort((a, b) => a - b);
    return {
      key: `tray:${number}`,
      group: 'Trays',
      words: `Tray ${number}: ${plural(used.length, 'sleeve')} seated; no fiber bent under ${radius} or under the lid’s edge`,
      ifBad:
        'Lift the lid, lay the fiber back in its guides, press the sleeve into its slot; no sleeve on another.',
      slots: used,
    };
  });
  return [
    ...points,
    {
      key: 'trays:stack',
      group: 'Trays',
      words: `${plural(trays.length, 'tray')} stacked in order, lid on the last, strap closed`,
      ifBad: 'Close the strap; a tray that moves pulls its fibers.',
    },
    {
      key: 'tubes',
      group: 'Trays',
      words: `Tubes of ${listed(assembly.entries.map(({ cableId }) => cableName(cableId)))} run to their trays without a kink, tied loosely; the basket is clear`,
      ifBad:
        'Take the tie off, lay the tube in a wider bend; a kinked tube is cut back and spliced anew.',
    },
  ];
}

function cablePoints(
  { cableName, hardware, unit }: ClosingView,
  entry: CableEntry,
): ClosingPoint[] {
  const name = cableName(entry.cableId);
  const clamp = hardware
    ? `, hose clamp ${formatLength(hardware.hoseClamp, unit, 'near')} below the ring cut`
    : '';
  const points: ClosingPoint[] = [
    {
      key: `cable:${entry.id}`,
      group: 'Cables',
      words: `Cable ${name} held: strength member clamped${clamp}; it does not turn or slide`,
      ifBad: 'Loosen, set the cable to its mark, clamp again, pull by hand.',
    },
  ];
  if (entry.armoured)
    points.push({
      key: `bond:${entry.id}`,
      group: 'Cables',
      words: `Cable ${name}: shield connector and bond are on`,
      ifBad: 'Put the bond on as the company’s practice says.',
      caution:
        'Metallic cable can carry current: bond and ground first, follow local codes and your company’s practice.',
    });
  if (entry.tracer)
    points.push({
      key: `tracer:${entry.id}`,
      group: 'Cables',
      words: `Cable ${name}: tracer wire is out past its seal`,
      ifBad: 'Bring the wire out before the seal is closed.',
    });
  return points;
}

function portPoint({ cableName }: ClosingView, { port, entries, plugs }: PortUse): ClosingPoint {
  const point = { key: `port:${port.name}`, group: 'Ports' as const, port: port.name };
  if (entries.length === 0)
    return {
      ...point,
      words: `${port.name}: plugged, ${plural(port.holes, 'plug')}`,
      ifBad: 'Put a plug into every empty hole; a port is never closed by tape.',
    };
  const seals = entries.flatMap(({ seal }) => (seal?.ok ? [seal.value] : []));
  const seal = seals[0];
  const slit = seals.some((own) => own.slit);
  return {
    ...point,
    words: [
      `${port.name}: ${listed(entries.map(({ entry }) => `cable ${cableName(entry.cableId)}`))}`,
      seal ? ` in ${seal.row.seal}` : ', seal not known',
      seal?.bushing ? ' with bushing' : '',
      slit ? ', slit off the seam' : '',
      plugs > 0 ? `, ${plural(plugs, 'plug')}` : '',
    ].join(''),
    ifBad: seal
      ? 'Take the seal off, clean cable and seal, measure the cable again, seat the seal square.'
      : 'Measure the cable under Open the cables: the seal follows from its diameter.',
  };
}

function facePoints(hardware: Hardware | null): ClosingPoint[] {
  if (hardware === null || hardware.form === 'rack') return [];
  const gel = hardware.form === 'drop';
  return [
    {
      key: 'faces',
      group: 'Faces',
      words: gel
        ? 'Gel clean, whole and level; no fiber, tie or grit in it'
        : 'Both sealing faces clean and dry, no scratch, hair or grit',
      ifBad: gel
        ? 'Stretch the gel and set it back; a wedge that is torn is replaced.'
        : 'Wipe them with a lint-free cloth; a deep scratch needs a new part.',
    },
    {
      key: 'gasket',
      group: 'Faces',
      words: gel
        ? 'Wedges seated, latches ready'
        : 'Gasket whole, greased as its sheet says, seated all round',
      ifBad: gel
        ? 'Seat every wedge until it clicks.'
        : 'Lay it back into its groove; a gasket that is cut is replaced.',
    },
  ];
}

function boltPoints(hardware: Hardware | null): ClosingPoint[] {
  if (hardware === null) return [];
  const points = hardware.bolts.map((number, at): ClosingPoint => ({
    key: `bolt:${number}`,
    group: 'Bolts',
    words: `Bolt ${number} tight, number ${at + 1} of ${hardware.bolts.length} in the order`,
    ifBad: 'Loosen them all and begin again in the sheet’s order.',
  }));
  if (points.length === 0) return [];
  return [
    ...points,
    {
      key: 'bolts:again',
      group: 'Bolts',
      words: 'Gone round once more in this order, by hand, to the sheet’s torque',
      ifBad: 'Go round until none turns.',
    },
  ];
}
