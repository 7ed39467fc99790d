import type { TraceEvent } from '../detect/analyse.ts';
import type { CircuitRoute } from './route.ts';

/** What is written of a line of cables, meters. */
export interface Written {
  /** Sheath between closures without coils; null where nobody has said. */
  sheath: (number | null)[];
  /** Coil on either side of every cable, the outer ends' first and last. */
  coils?: [number, number][];
  marks?: [number | null, number | null][];
}

export const HELIX = 1.005;
const NAMES = ['hut', 'weir', 'mill', 'ford', 'barn', 'loft', 'quay', 'moor'];

/** A circuit along a line of cables A, B, C and so on; closures between are named in their order. */
export function lineOf({ sheath, coils, marks }: Written, fiber = 1): CircuitRoute {
  return {
    key: `A ${fiber}`,
    label: `A ${fiber}`,
    points: Array.from({ length: sheath.length + 1 }, (_, index) => {
      const name = NAMES[index]!;
      const end = index === 0 || index === sheath.length;
      return {
        closureId: end ? null : name,
        name,
        tray: end ? null : 1,
        spliceId: end ? null : `${name} ${fiber}`,
        isFused: true,
      };
    }),
    spans: sheath.map((meters, index) => {
      const own = coils?.[index] ?? [0, 0];
      const cable = 'ABCDEFG'[index]!;
      return {
        cableId: cable,
        cable,
        fiber,
        sheathM: meters === null ? null : meters + own[0] + own[1],
        marked: marks !== undefined,
        coilsM: own,
        marksM: marks?.[index] ?? [null, null],
        helix: HELIX,
      };
    }),
  };
}

export const splice = (position: number, loss = 0.05): TraceEvent => ({
  sampleIndex: 0,
  positionM: position,
  positionSigmaM: 1,
  spreadSamples: 1,
  kind: 'splice',
  lossDb: loss,
  sigmaDb: 0.002,
  peakDb: null,
  isSaturated: false,
});

export const reflection = (position: number, loss = 0.2): TraceEvent => ({
  ...splice(position, loss),
  kind: 'reflection',
  peakDb: 6,
});

export const echo = (position: number): TraceEvent => ({
  ...reflection(position, 0.001),
  kind: 'echo',
});

/** Meters of fiber to each point of a line whose cables hold so much sheath. */
export function fiberTo(sheath: readonly number[], scale = HELIX): number[] {
  let sum = 0;
  return [0, ...sheath.map((meters) => (sum += meters * scale))];
}
