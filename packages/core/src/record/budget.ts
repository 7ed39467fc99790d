import { z } from 'zod';
import { issue } from './issue.ts';

/** A loss as it is expected and how far it spreads, thousandths of a dB. */
const lossSchema = z.object({
  usual: z.int().min(0).max(5000),
  spread: z.int().min(0).max(5000),
  most: z.int().min(0).max(5000),
});

/** What a project reckons with for glass and connectors. Losses in thousandths of a dB, glass a kilometer. */
export const budgetSchema = z.object({
  glass: z
    .array(lossSchema.extend({ wavelengthNm: z.int().min(600).max(1700) }))
    .min(1, issue('attenuationMissing'))
    .max(8),
  /** A splice nobody has made yet. */
  splice: lossSchema,
  /** A connector pair; a circuit has one at each end. */
  connector: lossSchema,
  connectors: z.int().min(0).max(20),
  /** What the equipment bridges, dB thousandths; null: the sum of the most of each part. */
  most: z.int().min(1).max(60_000).nullable(),
});

export type Budget = z.infer<typeof budgetSchema>;

/**
 * Most: ITU-T G.652.D, 0.40 dB/km from 1310 to 1625 nm and 0.30 dB/km from 1530 to 1565 nm; TIA-568, 0.3 dB a
 * splice and 0.75 dB a connector pair; both from memory. Usual figures and spreads: common practice, no
 * source.
 */
export const USUAL_BUDGET: Budget = {
  glass: [
    { wavelengthNm: 1310, usual: 340, spread: 10, most: 400 },
    { wavelengthNm: 1550, usual: 200, spread: 8, most: 300 },
    { wavelengthNm: 1625, usual: 230, spread: 12, most: 400 },
  ],
  splice: { usual: 40, spread: 30, most: 300 },
  connector: { usual: 250, spread: 120, most: 750 },
  connectors: 2,
  most: null,
};
