/** Powers of levels down to 65.535 dB, thousandth by thousandth, for logarithms take longer than all else here. */
let powers: Float64Array | null = null;

/** Power of a level as files have them, 0 dB or less, to a ten-thousandth of it. */
export function powerOf(levelDb: number): number {
  powers ??= Float64Array.from({ length: 65_536 }, (_, below) => 10 ** (-below / 5000));
  return powers[Math.min(65_535, Math.max(0, Math.round(-1000 * levelDb)))]!;
}
