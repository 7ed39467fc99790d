import type { PlannedJoint } from './expand.ts';
import type { LineToPrint } from './printLine.ts';
import { fibersASleeveOf } from './sleeves.ts';
import type { ListCable } from './spliceList.ts';

/**
 * Says splices in as few lines of a plan as follow from their order: the inverse of expanding.
 * @param joints the splices of one closure, in tray order
 */
export function collapseJoints(
  joints: readonly Omit<PlannedJoint, 'line'>[],
  cables: readonly ListCable[],
): LineToPrint[] {
  const sleeveOf = fibersASleeveOf(cables);
  const lines: LineToPrint[] = [];
  for (let at = 0; at < joints.length;) {
    const first = joints[at]!;
    const size = sleeveOf(first.cableA, first.cableB);
    const reversed = isReversed(joints, at, size);
    const length = reversed ? reversedLength(joints, at, size) : straightLength(joints, at, size);
    const bFirst = reversed ? first.fiberB - size + 1 : first.fiberB;
    lines.push({
      verb: first.end ? 'terminate' : 'splice',
      a: {
        cable: first.cableA,
        leg: first.legA,
        runs: [[first.fiberA, first.fiberA + length - 1]],
      },
      b: { cable: first.cableB, leg: first.legB, runs: [[bFirst, bFirst + length - 1]] },
      method: first.method,
      end: first.end,
      polarity: null,
      reversed,
      note: null,
    });
    at += length;
  }
  return lines;
}

const follows = (
  one: Omit<PlannedJoint, 'line'>,
  other: Omit<PlannedJoint, 'line'> | undefined,
  stepA: number,
  stepB: number,
): boolean =>
  other !== undefined &&
  one.cableA === other.cableA &&
  one.legA === other.legA &&
  one.cableB === other.cableB &&
  one.legB === other.legB &&
  one.method === other.method &&
  one.end === other.end &&
  other.fiberA === one.fiberA + stepA &&
  other.fiberB === one.fiberB + stepB;

function straightLength(
  joints: readonly Omit<PlannedJoint, 'line'>[],
  at: number,
  size: number,
): number {
  let end = at;
  while (follows(joints[end]!, joints[end + 1], 1, 1)) end++;
  const length = end - at + 1;
  if (joints[at]!.method === 'single') return length;
  // A line of mass splices holds whole ribbons: it ends where the last whole one does.
  const lead = (size - ((joints[at]!.fiberA - 1) % size)) % size || size;
  return length <= lead ? length : length - ((length - lead) % size);
}

/** Whether the ribbon that begins here is laid the other way round. */
function isReversed(
  joints: readonly Omit<PlannedJoint, 'line'>[],
  at: number,
  size: number,
): boolean {
  const first = joints[at]!;
  if ((first.fiberA - 1) % size !== 0 || first.fiberB % size !== 0) return false;
  for (let index = at; index < at + size - 1; index++)
    if (!follows(joints[index]!, joints[index + 1], 1, -1)) return false;
  return true;
}

function reversedLength(
  joints: readonly Omit<PlannedJoint, 'line'>[],
  at: number,
  size: number,
): number {
  let length = size;
  while (
    at + length < joints.length &&
    isReversed(joints, at + length, size) &&
    follows(joints[at + length - size]!, joints[at + length], size, size)
  )
    length += size;
  return length;
}
