/** Noise that is the same every time, with deviation 1. */
function source(seed: number): () => number {
  let state = seed;
  const uniform = () => (state = (state * 48271) % 2147483647) / 2147483647;
  return () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
}

/** A trace of straight segments: slope 0.0001 dB a sample, steps that take a pulse of 10 samples. */
export function madeTrace(
  length: number,
  steps: Record<number, number>,
  {
    noise = 0.005,
    peaks = {},
    floor = Infinity,
    seed = 11,
  }: {
    noise?: number;
    peaks?: Record<number, number>;
    floor?: number;
    seed?: number;
  } = {},
): Float32Array {
  const normal = source(seed);
  return Float32Array.from({ length }, (_, at) => {
    if (at >= floor) return -40 + 6 * normal();
    let level = -12 - 0.0001 * at;
    for (const [place, step] of Object.entries(steps))
      level -= step * Math.min(1, Math.max(0, (at - Number(place)) / 10));
    for (const [place, height] of Object.entries(peaks))
      if (at >= Number(place) && at < Number(place) + 10) level += height;
    return level + noise * normal();
  });
}
