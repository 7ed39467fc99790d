import {
  type RedoAdvice,
  type TriedFiber,
  adviseRedo,
  countedEstimate,
  jointLoss,
  modeFieldOf,
  worstCleave,
} from '@cordel/core';
import { type BenchSplice, positionOf } from '@cordel/core/session';
import type { ProjectView } from '@/projects/context';
import type { Station } from './useStation';

/** What the mode fields of a splice's two fibers cost at least, thousandths of a dB, as far as reels say. */
function floorOf(splice: BenchSplice, view: ProjectView): number {
  const [a, b] = [view.cable(splice.cableA), view.cable(splice.cableB)];
  const mfdA = a ? modeFieldOf(a.glass) : null;
  const mfdB = b ? modeFieldOf(b.glass) : null;
  return mfdA === null || mfdB === null
    ? 0
    : Math.max(0, Math.round(jointLoss({ mfdA, mfdB }) * 1000));
}

/** A redo takes about that long, s: prepare, fuse, look. */
const REDO_SECONDS = 240;

interface AdviceTask {
  /** The fibers of the sleeve in hand with the estimates just read. */
  fibers: readonly { splice: BenchSplice; estimate: number }[];
  /** All fibers of that sleeve, dead ones too: they lie in the holder all the same. */
  sleeve: readonly BenchSplice[];
  recordId: string | null;
  splicerId: string | null;
  all: readonly BenchSplice[];
  station: Station;
  view: ProjectView;
  /** Until the window of the shift closes, or null. */
  secondsLeft: number | null;
}

/** Redo or keep, from the records of this splicer, or from this closure's tries where none is chosen. */
export function adviceFor(task: AdviceTask): RedoAdvice | null {
  const { fibers, station, view, recordId, splicerId, all } = task;
  const first = fibers[0]?.splice;
  if (!first) return null;
  const { limits, practice } = view.project;
  const { method } = first;
  const record = station.records.find(({ id }) => id === recordId) ?? null;
  const own = station.records.filter(
    (one) =>
      one.splicerId === splicerId &&
      one.id !== recordId &&
      one.fused &&
      one.fibers.length > 1 === (method === 'mass'),
  );
  const history =
    own.length > 0
      ? own.flatMap((one) => one.fibers.flatMap((fiber) => countedEstimate(fiber) ?? []))
      : all
          .filter((splice) => splice.method === method)
          .flatMap(({ spliceState }) =>
            spliceState.tries.flatMap(({ estimateMdb }) => estimateMdb ?? []),
          );
  const measured = all.flatMap((splice) => {
    const figure = splice.spliceState.figures.find(({ grade }) => grade === 'two-way');
    const estimate = splice.spliceState.tries.at(-1)?.estimateMdb;
    if (!figure || estimate == null || splice.method !== method) return [];
    return [{ estimate, loss: figure.lossHalfMdb / 2, floor: floorOf(splice, view) }];
  });
  const live = fibers.map(({ splice }) => splice);
  const tried = fibers.map(({ splice, estimate }): TriedFiber => {
    const position = record ? positionOf(record, task.sleeve, live, splice) : null;
    const seen = record?.fibers.find((fiber) => fiber.position === position);
    return {
      estimate,
      cleave: seen ? worstCleave(seen) : null,
      before: splice.spliceState.tries.flatMap(({ estimateMdb }) => estimateMdb ?? []),
      floor: floorOf(splice, view),
    };
  });
  const tries = Math.max(...tried.map(({ before }) => before.length));
  return adviseRedo({
    fibers: tried,
    method,
    limits,
    history,
    measured,
    slack: {
      left: Math.max(0, (practice.redos - tries) * practice.redoConsumption),
      eats: practice.redoConsumption,
    },
    time: task.secondsLeft === null ? null : { left: task.secondsLeft, redo: REDO_SECONDS },
  });
}
