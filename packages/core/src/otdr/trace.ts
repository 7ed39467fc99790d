import { findJoints } from './joints.ts';
import type { PlacedJoint } from './pair.ts';
import { type SorFile, LIGHT, firstSampleOf, levelsOf, spacingOf } from './sor.ts';

/** What the samples of a file say by themselves. Meters of fiber, dB. */
export interface Analysis {
  joints: PlacedJoint[];
  /** Where the fiber ends; null where no end is seen. */
  end: number | null;
  /** Noise of single samples near the start. */
  noise: number;
}

/** Finds the joints of a trace file, the instrument's own table left aside. */
export function analyse({ fixed, data }: SorFile): Analysis {
  // Of several pulse widths the first is looked at: its samples stand first.
  const levels = levelsOf(data).subarray(0, fixed.sampleCounts[0] || data.raw.length);
  const spacing = spacingOf(fixed);
  const first = firstSampleOf(fixed);
  const pulse = (fixed.pulseWidthsNs[0]! * 1e-9 * LIGHT * 100_000) / fixed.groupIndex / 2 / spacing;
  const { joints, end, noise } = findJoints(levels, pulse);
  return {
    joints: joints.map((joint) => ({ ...joint, position: first + joint.at * spacing })),
    end: end === null ? null : first + end * spacing,
    noise,
  };
}
