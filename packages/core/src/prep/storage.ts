/**
 * Least radius for standard single-mode fiber in storage, in tenths of a millimeter: 30 mm, at which
 * ITU-T G.652 tests 100 turns for at most 0.1 dB at 1625 nm (from memory).
 */
export const FIBER_RADIUS = 300;

/** Least bend radius of a cable by its outside diameter: 20 times under load, 10 times at rest (common practice). */
export const cableRadius = (diameter: number, loaded: boolean): number =>
  diameter * (loaded ? 20 : 10);

/** Thickness of a buffer tube in storage, in tenths of a millimeter: 3 mm (common practice, no source). */
export const TUBE_THICKNESS = 30;

/** Coils of a length in a basket. Lengths in tenths of a millimeter. */
export interface Coils {
  /** Whether a coil of the least radius lies in the basket at all. */
  fits: boolean;
  /** Turns it takes. */
  turns: number;
  /** Length of one turn. */
  turn: number;
  /** How high the tubes pile up. */
  height: number;
}

/**
 * Lays a length in oval coils as long as the basket and as wide as it allows, bent nowhere tighter
 * than the radius. Tubes lie side by side from the basket's edge in to the radius, then on each other.
 * @param tubes how many tubes of that length are stored
 */
export function coilsIn(
  basket: { width: number; length: number },
  length: number,
  radius = FIBER_RADIUS,
  tubes = 1,
): Coils {
  const [width, long] = [
    Math.min(basket.width, basket.length),
    Math.max(basket.width, basket.length),
  ];
  if (width < 2 * radius) return { fits: false, turns: 0, turn: 0, height: 0 };
  // Two half circles as wide as the basket, joined by straight stretches.
  const turn = Math.round(Math.PI * width + 2 * (long - width));
  const turns = Math.ceil(length / turn);
  const beside = Math.floor((width / 2 - radius) / TUBE_THICKNESS) + 1;
  const height = Math.ceil((turns * tubes) / beside) * TUBE_THICKNESS;
  return { fits: true, turns, turn, height };
}
