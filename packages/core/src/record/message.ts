import { z } from 'zod';

/** What a person is told, as data: the code names the text, the parameters fill it. `packages/text` has the words. */
export interface Message {
  readonly code: string;
}

/** A length of cable or fiber that is walked or measured, in meters, rounded to m or ft; with what it may be off by. */
export const tapeSchema = z.object({
  tapeM: z.number(),
  errorM: z.number().optional(),
  decimals: z.int().optional(),
});

/** A place along a trace, to about a meter. */
export const placeSchema = z.object({ placeM: z.number() });

/** A length of fiber, roughly. */
export const rangeSchema = z.object({ rangeM: z.number() });

/** A loss as traces show it, dB, with its standard deviation. */
export const lossSchema = z.object({
  lossDb: z.number(),
  sigmaDb: z.number().optional(),
  /** Three where it is left out. */
  decimals: z.int().optional(),
});

/** The day of a moment, by the clock of the project's time zone. */
export const daySchema = z.object({ dayOf: z.string() });

/** Names one after another, the first few of many. */
export const listedSchema = z.object({
  items: z.array(z.string()),
  /** How many are named before the rest is counted; all where it is left out. */
  most: z.int().optional(),
});

/** A figure that is shown in the units of the project. */
export type Quantity =
  /** A length along a tape at the bench; `towards` says how it is rounded, up where nothing is said. */
  | { readonly lengthTenthsMm: number; readonly towards?: 'up' | 'down' | 'near' }
  /** An outside diameter, as a caliper shows it. */
  | { readonly diameterTenthsMm: number }
  /** A distance along the route. */
  | { readonly distanceTenthsMm: number }
  | z.infer<typeof tapeSchema>
  | z.infer<typeof placeSchema>
  | z.infer<typeof rangeSchema>
  | z.infer<typeof daySchema>
  /** What a gauge shows; `towards` says how it is rounded, to the nearest where nothing is said. */
  | { readonly gaugePa: number; readonly towards?: 'up' | 'down' | 'near' }
  /** A torque, thousandths of a newton meter. */
  | { readonly torqueMilliNm: number }
  /** A barometric pressure. */
  | { readonly barometerKpa: number }
  /** A change of barometric pressure, without a sign. */
  | { readonly barometerChangeKpa: number }
  | { readonly temperatureC: number }
  /** A change of temperature, without a sign. */
  | { readonly temperatureChangeC: number }
  /** A moment, ISO 8601 in UTC; shown by the clock of the project's time zone. */
  | { readonly at: string };

/** A loss, shown in dB whatever the units. */
export type Loss =
  { readonly lossMdb: number } | { readonly lossHalfMdb: number } | z.infer<typeof lossSchema>;

/** A chance from 0 to 1, shown in percent. */
export interface Probability {
  readonly chance: number;
}

/** A span of time, shown in hours and minutes. */
export interface TimeSpan {
  readonly spanMs: number;
}

/** A power, shown in dBm. */
export interface Power {
  readonly powerMdbm: number;
}

export type Listed = z.infer<typeof listedSchema>;

/** Where splices lie, the first few of many. */
export interface SplicePlaces {
  readonly places: readonly { readonly tray: number; readonly slot: number }[];
  readonly most?: number;
}

/** Fibers that are spliced to each other, the first few of many: cables by name, fibers by number. */
export const fiberPairsSchema = z.object({
  pairs: z.array(
    z.object({ cableA: z.string(), fiberA: z.int(), cableB: z.string(), fiberB: z.int() }),
  ),
  most: z.int().optional(),
});
export type FiberPairs = z.infer<typeof fiberPairsSchema>;

/** What fills a text. What is none of these is data that a text does not show by itself. */
export type Parameter =
  | string
  | number
  | Quantity
  | Loss
  | Power
  | Probability
  | TimeSpan
  | Listed
  | SplicePlaces
  | FiberPairs
  | readonly string[];
