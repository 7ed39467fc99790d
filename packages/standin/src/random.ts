/** A seeded source of numbers, so that the demo is the same every time. */
export interface Random {
  /** Uniform in [0, 1). */
  uniform(): number;
  /** Normal with mean 0 and deviation 1. */
  normal(): number;
}

// Taken once: they are called millions of times.
const { cos, imul, log, PI, sqrt } = Math;

/** Mulberry32, public domain: 32 bits of state, good enough for made-up figures. */
export function seeded(seed: number): Random {
  let state = seed >>> 0;
  const uniform = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
  // Box and Muller's transform.
  const normal = () => sqrt(-2 * log(1 - uniform())) * cos(2 * PI * uniform());
  return { uniform, normal };
}

/** UUIDs of version 7 that count up from a moment, the same every time. */
export function countedIds(start: number): () => string {
  let count = 0;
  return () => {
    const time = (start + count).toString(16).padStart(12, '0');
    const tail = (count++).toString(16).padStart(12, '0');
    return `${time.slice(0, 8)}-${time.slice(8)}-7000-8000-${tail}`;
  };
}
