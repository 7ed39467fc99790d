import type { WhereMessage } from '../messages.ts';
import type { FittedGroup } from '../align/fitRoutes.ts';

/** A place on the cable, as one would go there. Meters. */
export interface FaultLocation {
  /** The nearest closure or end, and the point toward which to go from it. */
  from: string;
  closureId: string | null;
  toward: string;
  cable: string;
  /** Sheath from that point, its coil counted in, and its standard deviation. */
  sheathM: number;
  sigmaM: number;
  /** Whether it lies in the coil at that point. */
  inCoil: boolean;
  /** The sheath mark there; null where marks are not known. */
  markM: number | null;
}

/**
 * Where a place of a trace lies on the cable. Between two points of the route fiber and sheath are taken to
 * run evenly: the points on either side, as the traces show them, are what it is measured from.
 * @param at meters of fiber, as the group counts them
 */
export function faultLocation(at: number, sigma: number, group: FittedGroup): FaultLocation | null {
  const { positions, points, spans } = group;
  const place = (index: number) =>
    positions[index] ?? (index === 0 ? { positionM: group.offsetM, sigmaM: 1, seen: false } : null);
  for (const [index, span] of spans.entries()) {
    const [a, b] = [place(index), place(index + 1)];
    if (!a || at < a.positionM - 1) continue;
    const last = index === spans.length - 1;
    if (b && at > b.positionM && !last) continue;
    // With both ends in sight the trace itself says how much fiber the sheath holds.
    const ratio =
      b && span.sheathM !== null && b.positionM > a.positionM
        ? span.sheathM / (b.positionM - a.positionM)
        : 1 / span.helix;
    const fromA = Math.max(0, at - a.positionM) * ratio;
    const fromB = b ? Math.max(0, b.positionM - at) * ratio : Infinity;
    const side = fromA <= fromB ? 0 : 1;
    const sheath = side === 0 ? fromA : fromB;
    const here = points[index + side]!;
    const known = side === 0 ? a : b!;
    const [markA, markB] = span.marksM;
    const up = markA !== null && markB !== null ? Math.sign(markB - markA) : 0;
    const mark = span.marksM[side]!;
    return {
      from: here.name,
      closureId: here.closureId,
      toward: points[index + 1 - side]!.name,
      cable: span.cable,
      sheathM: sheath,
      // How far a written length may be off goes with how far one goes by it.
      sigmaM: Math.hypot(ratio * Math.hypot(sigma, known.sigmaM), 0.002 * sheath),
      inCoil: sheath <= span.coilsM[side]!,
      markM: mark === null || up === 0 ? null : mark + (side === 0 ? up : -up) * sheath,
    };
  }
  return null;
}

/** Where to go. */
export function whereIs(place: FaultLocation): WhereMessage {
  const { from, toward, cable, sheathM: sheath, sigmaM: sigma, inCoil, markM: mark } = place;
  const fault = { cable, from, sheath: { tapeM: sheath, errorM: Math.max(1, 2 * sigma) } };
  if (mark === null)
    return inCoil ? { code: 'inLoop', ...fault } : { code: 'along', ...fault, toward };
  const at = { mark: { tapeM: mark } };
  return inCoil
    ? { code: 'inLoopMark', ...fault, ...at }
    : { code: 'alongMark', ...fault, toward, ...at };
}
