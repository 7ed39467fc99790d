/**
 * Least radius for standard single-mode fiber in storage, in tenths of a millimeter: 30 mm, at which
 * ITU-T G.652 tests 100 turns for at most 0.1 dB at 1625 nm (from memory).
 */
export const FIBER_RADIUS = 300;

/** Least bend radius of a cable by its outside diameter: 20 times under load, 10 times at rest (common practice). */
export const cableRadius = (diameter: number, loaded: boolean): number =>
  diameter * (loaded ? 20 : 10);

/** Coils of a length in a basket. Lengths in tenths of a millimeter. */
export interface Coils {
  /** Whether a coil of the least radius lies in the basket at all. */
  fits: boolean;
  /** Turns it takes. */
  turns: number;
  /** Length of one turn. */
  turn: number;
}

/**
 * Lays a length in oval coils as long as the basket and as wide as it allows, bent nowhere tighter
 * than the radius.
 */
export function coilsIn(
  basket: { width: number; length: number },
  length: number,
  radius = FIBER_RADIUS,
): Coils {
  const [width, long] = [
    Math.min(basket.width, basket.length),
    Math.max(basket.width, basket.length),
  ];
  if (width < 2 * radius) return { fits: false, turns: 0, turn: 0 };
  // Two half circles as wide as the basket, joined by straight stretches.
  const turn = Math.round(Math.PI * width + 2 * (long - width));
  return { fits: true, turns: Math.ceil(length / turn), turn };
}
