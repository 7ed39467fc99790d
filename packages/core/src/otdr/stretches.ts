/** A straight line through a stretch of a trace. Places in samples, levels in dB. */
export interface Fit {
  /** Sum of the weights, and the place about which they lie. */
  weight: number;
  center: number;
  /** Level at the center, and dB a sample. */
  mean: number;
  slope: number;
  /** Weighted sum of squared distances from the center, and of what the line leaves over. */
  spread: number;
  left: number;
}

/**
 * Running weighted sums over a trace, so that least squares through any stretch of it costs nothing. A
 * sample weighs the inverse of its variance, and nothing where it is masked.
 */
export class Stretches {
  readonly length: number;
  private readonly sums: Float64Array;
  private readonly shift: number;

  /**
   * @param room an array to keep the sums in, {@link Stretches.roomFor} long at least; whoever lends it does
   * not lend it twice at a time
   */
  constructor(
    levels: Float32Array,
    weights: Float32Array,
    room = new Float64Array(Stretches.roomFor(levels.length)),
  ) {
    const n = (this.length = levels.length);
    // Places are counted from the middle: sums of squares stay small enough to be exact.
    const shift = (this.shift = n / 2);
    const sums = (this.sums = room);
    sums.fill(0, 0, 6);
    let [w, wx, wxx, wy, wxy, wyy] = [0, 0, 0, 0, 0, 0];
    for (let at = 0, to = 6; at < n; at++, to += 6) {
      const weight = weights[at]!;
      const x = at - shift;
      const y = levels[at]!;
      const xWeight = weight * x;
      const yWeight = weight * y;
      sums[to] = w += weight;
      sums[to + 1] = wx += xWeight;
      sums[to + 2] = wxx += xWeight * x;
      sums[to + 3] = wy += yWeight;
      sums[to + 4] = wxy += xWeight * y;
      sums[to + 5] = wyy += yWeight * y;
    }
  }

  static roomFor(samples: number): number {
    return 6 * (samples + 1);
  }

  /** What a line from `from` up to but not including `to` leaves over: a weighted sum of squares. */
  leftOver(from: number, to: number): number {
    const { sums } = this;
    const a = 6 * from;
    const b = 6 * to;
    const w = sums[b]! - sums[a]!;
    if (w <= 0) return 0;
    const wx = sums[b + 1]! - sums[a + 1]!;
    const wy = sums[b + 3]! - sums[a + 3]!;
    const spread = sums[b + 2]! - sums[a + 2]! - (wx * wx) / w;
    const along = sums[b + 4]! - sums[a + 4]! - (wx * wy) / w;
    const all = sums[b + 5]! - sums[a + 5]! - (wy * wy) / w;
    return spread > 0 ? all - (along * along) / spread : all;
  }

  /** Least squares from `from` up to but not including `to`. */
  line(from: number, to: number): Fit {
    const { sums, shift } = this;
    const of = (key: number) => sums[6 * to + key]! - sums[6 * from + key]!;
    const weight = of(0);
    const center = of(1) / weight;
    const mean = of(3) / weight;
    const spread = Math.max(1e-12, of(2) - center * of(1));
    const slope = (of(4) - center * of(3)) / spread;
    return {
      weight,
      center: center + shift,
      mean,
      slope,
      spread,
      left: this.leftOver(from, to),
    };
  }

  /** How much two lines with a gap between them leave over less than one through all: large at a step. */
  gain(from: number, split: number, gap: number, to: number, whole: number): number {
    return whole - this.leftOver(from, split) - this.leftOver(split + gap, to);
  }

  /** Weight that lies in a stretch. */
  weight(from: number, to: number): number {
    return this.sums[6 * to]! - this.sums[6 * from]!;
  }
}

/** Level of a line at a place, and its variance. */
export const levelAt = (line: Fit, at: number): number =>
  line.mean + line.slope * (at - line.center);
export const varianceAt = (line: Fit, at: number): number =>
  1 / line.weight + (at - line.center) ** 2 / line.spread;
