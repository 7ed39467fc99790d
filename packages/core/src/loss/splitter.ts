import { type Splitter } from '../record/cable.ts';

/**
 * The largest loss from the input to an output, thousandths of a dB, by how many outputs there are. ITU-T G.671, from
 * memory; common practice.
 */
const MOST_MDB: Record<number, number> = {
  2: 3500,
  4: 7200,
  8: 10_500,
  16: 13_800,
  32: 17_100,
  64: 20_500,
};

/** What a tap loses beyond its share of the light, thousandths of a dB: as 1:2 splitters do. */
const TAP_EXCESS_MDB = 490;

/** The loss of an ideal splitter: each output gets its share of the light. 10 log10(1 / share), thousandths of a dB. */
export const idealSplitMdb = (share: number): number => Math.round(-10_000 * Math.log10(share));

/**
 * What a splitter loses from its input to an output at most, thousandths of a dB: its sheet's figure, else the usual
 * one. Of a tap, output 1 has what the tapped output 2 leaves.
 */
export function splitterLossMdb(
  { outputs, tapPercent, lossMdb }: Splitter,
  output: number,
): number {
  if (tapPercent === undefined) return lossMdb ?? MOST_MDB[outputs]!;
  const share = (output === 2 ? tapPercent : 100 - tapPercent) / 100;
  return idealSplitMdb(share) + (lossMdb ?? TAP_EXCESS_MDB);
}
