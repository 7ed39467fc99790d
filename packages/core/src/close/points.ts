import { spliceStateOf } from '../loss/spliceState.ts';
import { isMade, spliceStage } from '../loss/spliceStage.ts';
import { judgeSplice } from '../loss/verdict.ts';
import { type CableLeg, sealPorts } from '../prep/seal.ts';
import type { Evidence } from '../record/evidence.ts';
import type { Limits } from '../record/limits.ts';
import type { SplicePlaces } from '../record/message.ts';
import { AT_PORT, type Splice } from '../record/splice.ts';
import type {
  ClosingPoint,
  ClosingSplice,
  ClosingView,
  FoundMessage,
  PointMessage,
} from './pointTypes.ts';
import { procedurePoints } from './procedurePoints.ts';

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
    const judged = judgeSplice(spliceState, splice, limits);
    return { splice, judged, at: spliceState.tries.at(-1)?.at ?? null };
  });
}

/** The list of one closure, from its hardware, what enters it, and its trays; common practice, no source. */
export function closingPoints(view: ClosingView): ClosingPoint[] {
  const { hardware, assembly } = view;
  const sealed = hardware
    ? sealPorts(hardware, assembly.entries)
    : { ports: [], left: assembly.entries.map((entry) => ({ entry, leg: 'in' as const })) };
  return [...workPoints(view, sealed.left), ...procedurePoints(view, sealed.ports)];
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
    .filter((id) => !entered.has(id) && !view.isDevice(id))
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

/** Places of splices, each once; ends that are made at their ports are one place. */
const placesOf = (list: readonly ClosingSplice[]): SplicePlaces => ({
  places: [
    ...new Map(
      list.map(({ splice: { tray, slot } }) => {
        const place = { tray, slot: tray === AT_PORT ? 0 : slot };
        return [`${place.tray}/${place.slot}`, place];
      }),
    ).values(),
  ],
  most: MOST_PLACES,
});
