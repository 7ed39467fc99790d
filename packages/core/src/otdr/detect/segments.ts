/** A straight line through a part of a trace. Places in samples, levels in dB. */
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

/** Slopes whose difference has such a variance are free, (dB a sample)². */
const FREE = 1e6;

/**
 * Running weighted sums over a trace, so that least squares through any part of it costs nothing. A
 * sample weighs the inverse of its variance, and nothing where it is masked.
 */
export class Segments {
  readonly length: number;
  private readonly sums: Float64Array;
  private readonly shift: number;

  /**
   * @param room an array to keep the sums in, {@link Segments.roomFor} long at least; whoever lends it does
   * not lend it twice at a time
   * @param slopeVariance how much slopes on either side of a step may differ, (dB a sample)²: what they differ by more
   * counts for less of a gain
   */
  constructor(
    levels: Float32Array,
    weights: Float32Array,
    room = new Float64Array(Segments.roomFor(levels.length)),
    private readonly slopeVariance = FREE,
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
    return leftOf(
      sums[b]! - sums[a]!,
      sums[b + 1]! - sums[a + 1]!,
      sums[b + 2]! - sums[a + 2]!,
      sums[b + 3]! - sums[a + 3]!,
      sums[b + 4]! - sums[a + 4]!,
      sums[b + 5]! - sums[a + 5]!,
    );
  }

  /** Least squares from `from` up to but not including `to`. */
  line(from: number, to: number): Fit {
    const { sums, shift } = this;
    const [a, b] = [6 * from, 6 * to];
    const weight = sums[b]! - sums[a]!;
    const wx = sums[b + 1]! - sums[a + 1]!;
    const center = wx / weight;
    const wy = sums[b + 3]! - sums[a + 3]!;
    const spread = Math.max(1e-12, sums[b + 2]! - sums[a + 2]! - center * wx);
    const slope = (sums[b + 4]! - sums[a + 4]! - center * wy) / spread;
    return {
      weight,
      center: center + shift,
      mean: wy / weight,
      slope,
      spread,
      left: this.leftOver(from, to),
    };
  }

  /**
   * How much two lines with a gap between them leave over less than one through all: large at a step. Lines that are bent
   * and have no step gain little.
   */
  gain(from: number, split: number, gap: number, to: number, whole: number): number {
    return this.bestSplit(from, to, gap, whole, split, split, 1).gain;
  }

  /** As much, with the samples of the gap left out of the one line too: what they scatter is no sign of a step. */
  stepGain(from: number, split: number, gap: number, to: number): number {
    const { sums } = this;
    const [a, b, s, e] = [6 * from, 6 * to, 6 * split, 6 * (split + gap)];
    const of = (sum: number) => sums[s + sum]! - sums[a + sum]! + sums[b + sum]! - sums[e + sum]!;
    return this.gain(from, split, gap, to, leftOf(of(0), of(1), of(2), of(3), of(4), of(5)));
  }

  /**
   * The split of a part that leaves over the least, of every so many samples; what belongs to both ends
   * is read once for all of them.
   * @param whole what one line through all leaves over
   */
  bestSplit(
    from: number,
    to: number,
    gap: number,
    whole: number,
    first: number,
    last: number,
    every: number,
  ): { at: number; gain: number } {
    const { sums, slopeVariance } = this;
    const [a, b] = [6 * from, 6 * to];
    const [w0, x0, xx0, y0, xy0, yy0] = [
      sums[a]!,
      sums[a + 1]!,
      sums[a + 2]!,
      sums[a + 3]!,
      sums[a + 4]!,
      sums[a + 5]!,
    ];
    const [w1, x1, xx1, y1, xy1, yy1] = [
      sums[b]!,
      sums[b + 1]!,
      sums[b + 2]!,
      sums[b + 3]!,
      sums[b + 4]!,
      sums[b + 5]!,
    ];
    let least = Infinity;
    let best = first;
    for (let at = first; at <= last; at += every) {
      const s = 6 * at;
      const e = s + 6 * gap;
      const w = sums[s]! - w0;
      const wx = sums[s + 1]! - x0;
      const wy = sums[s + 3]! - y0;
      const v = w1 - sums[e]!;
      const vx = x1 - sums[e + 1]!;
      const vy = y1 - sums[e + 3]!;
      // Few divisions: there are ten thousand of these in a trace.
      const [before, behind] = [w > 0 ? 1 / w : 0, v > 0 ? 1 / v : 0];
      const spread = sums[s + 2]! - xx0 - wx * wx * before;
      const along = sums[s + 4]! - xy0 - wx * wy * before;
      const next = xx1 - sums[e + 2]! - vx * vx * behind;
      const nextAlong = xy1 - sums[e + 4]! - vx * vy * behind;
      let left = sums[s + 5]! - yy0 - wy * wy * before + yy1 - sums[e + 5]! - vy * vy * behind;
      if (spread > 0 && next > 0) {
        // What both slopes take away, less what they only take away by being another on either side.
        const product = spread * next;
        const both = spread + next + slopeVariance * product;
        const bend = along * next - nextAlong * spread;
        left -=
          ((along * along * next + nextAlong * nextAlong * spread) * both - bend * bend) /
          (product * both);
      } else if (spread > 0) left -= (along * along) / spread;
      else if (next > 0) left -= (nextAlong * nextAlong) / next;
      if (left < least) {
        least = left;
        best = at;
      }
    }
    return { at: best, gain: first <= last ? whole - least : -Infinity };
  }

  /** The step that was read last, and its variance: kept here, for a thousand are read in a trace. */
  readonly step = { loss: 0, variance: Infinity };

  /**
   * Reads the step between the lines before and behind a gap into {@link step}. Both are taken to one place.
   * @param place where a step is half over: a pulse shows every place of the fiber half of its length later
   */
  readStep(from: number, at: number, behind: number, to: number, place = (at + behind) / 2): void {
    const { step } = this;
    step.loss = this.levelOf(from, at, place) - this.levelOf(behind, to, place);
    step.variance = this.lineVariance + this.firstVariance;
  }

  private firstVariance = 0;
  private lineVariance = 0;

  /** Level of the line through a part at a place; its variance is kept, and that of the one before. */
  private levelOf(from: number, to: number, place: number): number {
    const { sums, shift } = this;
    const [a, b] = [6 * from, 6 * to];
    const weight = sums[b]! - sums[a]!;
    const wx = sums[b + 1]! - sums[a + 1]!;
    const center = wx / weight;
    const wy = sums[b + 3]! - sums[a + 3]!;
    const spread = Math.max(1e-12, sums[b + 2]! - sums[a + 2]! - center * wx);
    const slope = (sums[b + 4]! - sums[a + 4]! - center * wy) / spread;
    const off = place - (center + shift);
    this.firstVariance = this.lineVariance;
    this.lineVariance = 1 / weight + (off * off) / spread;
    return wy / weight + slope * off;
  }

  /**
   * How much more the means of blocks vary about the lines through some parts than their weights say: 1 where the weights
   * are right. Each block's squared deviation, in its own variances, is 1 in the mean; a line takes two of them away.
   * @param parts without an event in them
   * @param length samples of a block: so many that blocks know nothing of each other
   * @param usual what a block's squared deviation is in the mean where the weights are right
   */
  scatter(
    parts: readonly (readonly [from: number, to: number])[],
    length: number,
    usual = 1,
  ): number {
    let [sum, count] = [0, 0];
    for (const [from, to] of parts) {
      const blocks = Math.floor((to - from) / length);
      if (blocks < 4) continue;
      const line = this.line(from, to);
      for (let block = 0; block < blocks; block++) {
        const start = from + block * length;
        const weight = this.weight(start, start + length);
        if (weight <= 0) continue;
        const own = this.line(start, start + length);
        sum += weight * (own.mean - levelAt(line, own.center)) ** 2;
        count++;
      }
      count -= 2;
    }
    return count < LEAST_BLOCKS ? 1 : (sum / usual + SURE_BLOCKS) / (count + SURE_BLOCKS);
  }

  /** Weight that lies in a part. */
  weight(from: number, to: number): number {
    return this.sums[6 * to]! - this.sums[6 * from]!;
  }
}

/** Fewer blocks say nothing of how they vary. */
const LEAST_BLOCKS = 6;
/** Few blocks change little: as many are taken to vary as their weights say. */
const SURE_BLOCKS = 8;

/** What a line leaves over, by its weighted sums. */
function leftOf(w: number, wx: number, wxx: number, wy: number, wxy: number, wyy: number): number {
  if (w <= 0) return 0;
  // One division for three: there are ten thousand of these in a trace.
  const share = 1 / w;
  const spread = wxx - wx * wx * share;
  const along = wxy - wx * wy * share;
  const all = wyy - wy * wy * share;
  return spread > 0 ? all - (along * along) / spread : all;
}

/** Level of a line at a place, and its variance. */
export const levelAt = (line: Fit, at: number): number =>
  line.mean + line.slope * (at - line.center);
export const varianceAt = (line: Fit, at: number): number =>
  1 / line.weight + (at - line.center) ** 2 / line.spread;
