/**
 * Least and most of each pixel's samples, so that no peak is lost however far one has zoomed out. Coarser
 * rows are made once; a view costs as many steps as it has pixels, not samples.
 */
export class Pyramid {
  private readonly rows: { least: Float32Array; most: Float32Array }[] = [];
  readonly length: number;

  constructor(levels: Float32Array) {
    this.length = levels.length;
    let [least, most] = [levels, levels];
    this.rows.push({ least, most });
    while (least.length > 64) {
      const half = (least.length + 1) >> 1;
      const [lower, upper] = [new Float32Array(half), new Float32Array(half)];
      for (let at = 0; at < half; at++) {
        const [one, two] = [2 * at, Math.min(2 * at + 1, least.length - 1)];
        lower[at] = Math.min(least[one]!, least[two]!);
        upper[at] = Math.max(most[one]!, most[two]!);
      }
      [least, most] = [lower, upper];
      this.rows.push({ least, most });
    }
  }

  /**
   * @param from first sample in view, may be a fraction
   * @param to the sample behind the last
   * @param pixels how many columns
   * @returns two figures a column, least and most; NaN where there is no sample
   */
  view(from: number, to: number, pixels: number): Float32Array {
    const result = new Float32Array(2 * pixels).fill(NaN);
    const each = (to - from) / pixels;
    if (!(each > 0)) return result;
    const depth = Math.min(this.rows.length - 1, Math.max(0, Math.floor(Math.log2(each / 4))));
    const { least, most } = this.rows[depth]!;
    const size = 2 ** depth;
    for (let pixel = 0; pixel < pixels; pixel++) {
      const start = from + pixel * each;
      if (start + each <= 0 || start >= this.length) continue;
      const first = Math.max(0, Math.floor(start / size));
      const last = Math.min(
        least.length - 1,
        Math.max(first, Math.ceil((start + each) / size) - 1),
      );
      let [low, high] = [Infinity, -Infinity];
      for (let at = first; at <= last; at++) {
        if (least[at]! < low) low = least[at]!;
        if (most[at]! > high) high = most[at]!;
      }
      result[2 * pixel] = low;
      result[2 * pixel + 1] = high;
    }
    return result;
  }
}
