import { splices } from '../db/schema.ts';

/** The columns of a splice as the plan has it, without what counts of it. */
export const spliceColumns = {
  id: splices.id,
  projectId: splices.projectId,
  closureId: splices.closureId,
  tray: splices.tray,
  slot: splices.slot,
  cableA: splices.cableA,
  fiberA: splices.fiberA,
  legA: splices.legA,
  cableB: splices.cableB,
  fiberB: splices.fiberB,
  legB: splices.legB,
  method: splices.method,
  end: splices.end,
  extra: splices.extra,
};
