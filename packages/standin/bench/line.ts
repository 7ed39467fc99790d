import type { CircuitRoute } from '@cordel/core/otdr';

export const closureName = (index: number): string => `closure ${index}`;
export const cableName = (index: number): string => `cable ${index}`;
/** Meters of fiber in a meter of sheath. */
export const HELIX = 1.005;

/** A circuit through closures in a row, by the sheath between them in m. */
export function circuitThrough(sheath: readonly number[], fiber: number): CircuitRoute {
  const key = `A ${fiber}`;
  return {
    key,
    label: key,
    points: Array.from({ length: sheath.length + 1 }, (_, index) => {
      const end = index === 0 || index === sheath.length;
      const name = closureName(index);
      return {
        closureId: end ? null : name,
        name,
        tray: end ? null : 1,
        spliceId: end ? null : `${name} ${fiber}`,
        isFused: true,
      };
    }),
    spans: sheath.map((meters, index) => ({
      cableId: cableName(index),
      cable: cableName(index),
      fiber,
      sheathM: meters,
      marked: false,
      coilsM: [0, 0],
      marksM: [null, null],
      helix: HELIX,
    })),
  };
}
