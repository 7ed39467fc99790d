import type { Budget } from '../record/budget.ts';
import type { BudgetMessage } from '../otdr/messages.ts';

/** What a circuit is made of, for its budget. */
export interface BudgetCircuit {
  /** Meters of fiber; null while a length is unknown. */
  lengthM: number | null;
  /** Its splices: the figure that speaks for each in thousandths of a dB and how sure it is, or null before it is made. */
  splices: readonly ({ lossMdb: number; sigmaMdb: number } | null)[];
  /** Its ends at ports, likewise by a meter; they are of the connectors that the project counts with. */
  ends?: readonly ({ lossMdb: number; sigmaMdb: number } | null)[];
  /** What its splitters lose at most, thousandths of a dB. */
  splitterMdb?: number;
}

/** A circuit's loss at one wavelength. Thousandths of a dB; spreads are standard deviations. */
export interface CircuitBudget {
  wavelengthNm: number;
  /** As it was designed: usual figures for glass, every splice and connectors. */
  expectedMdb: number;
  expectedSigmaMdb: number;
  /** With the figures of the splices that are made. */
  madeMdb: number;
  madeSigmaMdb: number;
  /** By traces: glass and splices both ways, with connectors as usual; null without. */
  measuredMdb: number | null;
  measuredSigmaMdb: number | null;
  /** Connectors and splitters in it that nobody measured, by their usual losses. */
  assumedMdb: number;
  /** What it may lose, and what is left of that: by what was measured, else by what is made. */
  limitMdb: number;
  marginMdb: number;
  marginSigmaMdb: number;
}

/** Whether a circuit will light up. */
export const LIGHTS = ['broken', 'no', 'unsure', 'not joined', 'yes', 'unknown'] as const;

/** A circuit with its budgets. */
export interface BudgetRow {
  circuit: string;
  label: string;
  cableId: string;
  fiber: number;
  from: string;
  to: string;
  /** The splitters on its way, and by which output it leaves each; it has the loss of all of them. */
  splitters: { name: string; output: number }[];
  splitterMdb: number;
  /** How many of its ends are at ports. */
  ends: number;
  /** Meters of fiber; null while a length is unknown. */
  lengthM: number | null;
  splices: number;
  /** Splices that nobody has made yet. */
  open: number;
  lights: (typeof LIGHTS)[number];
  why: BudgetMessage;
  budgets: CircuitBudget[];
}

/**
 * The budget of a circuit at one wavelength: length x attenuation + splices + connectors. Parts vary on
 * their own, so their spreads add as squares.
 * @param total glass and splices as measured both ways, thousandths of a dB; null where they are not
 * @returns null where the length is unknown or the project has no fiber attenuation at this wavelength
 */
export function budgetOf(
  { lengthM: meters, splices, ends: known = [], splitterMdb = 0 }: BudgetCircuit,
  wavelengthNm: number,
  budget: Budget,
  total: { lossMdb: number; sigmaMdb: number } | null = null,
): CircuitBudget | null {
  const glass = glassAt(budget, wavelengthNm);
  if (!glass || meters === null) return null;
  const km = meters / 1000;
  const { splice, connector } = budget;
  const connectors = Math.max(budget.connectors, known.length);
  const light = km * glass.usual;
  // One cable's glass is alike along its length: its spread grows with the length, not with its root.
  const lightSquare = (km * glass.spread) ** 2;
  const assumed = connectors * connector.usual;
  const assumedSquare = connectors * connector.spread ** 2;
  let [ends, endsSquare] = [assumed, assumedSquare];
  let assumedMdb = assumed + splitterMdb;
  for (const end of known) {
    if (!end) continue;
    assumedMdb -= connector.usual;
    ends += end.lossMdb - connector.usual;
    endsSquare += end.sigmaMdb ** 2 - connector.spread ** 2;
  }
  const designed = splices.length * splice.usual;
  let [sum, square] = [0, 0];
  for (const made of splices) {
    sum += made?.lossMdb ?? splice.usual;
    square += (made?.sigmaMdb ?? splice.spread) ** 2;
  }
  const most =
    budget.most ??
    km * glass.most + splices.length * splice.most + connectors * connector.most + splitterMdb;
  const made = light + sum + ends + splitterMdb;
  const madeSpread = Math.sqrt(lightSquare + square + endsSquare);
  const measured = total && total.lossMdb + ends + splitterMdb;
  const measuredSpread = total && Math.sqrt(total.sigmaMdb ** 2 + endsSquare);
  return {
    wavelengthNm,
    expectedMdb: light + designed + assumed + splitterMdb,
    expectedSigmaMdb: Math.sqrt(lightSquare + splices.length * splice.spread ** 2 + assumedSquare),
    madeMdb: made,
    madeSigmaMdb: madeSpread,
    measuredMdb: measured,
    measuredSigmaMdb: measuredSpread,
    assumedMdb,
    limitMdb: most,
    marginMdb: most - (measured ?? made),
    marginSigmaMdb: measuredSpread ?? madeSpread,
  };
}

/** Glass at a wavelength: as the project has it, or by a line between its neighbors. */
function glassAt({ glass }: Budget, nm: number): Budget['glass'][number] | null {
  const exact = glass.find(({ wavelengthNm }) => wavelengthNm === nm);
  if (exact) return exact;
  const sorted = [...glass].sort((a, b) => a.wavelengthNm - b.wavelengthNm);
  const after = sorted.findIndex(({ wavelengthNm }) => wavelengthNm > nm);
  if (after <= 0) return null;
  const [low, high] = [sorted[after - 1]!, sorted[after]!];
  const share = (nm - low.wavelengthNm) / (high.wavelengthNm - low.wavelengthNm);
  const between = (key: 'usual' | 'spread' | 'most') => low[key] + share * (high[key] - low[key]);
  return {
    wavelengthNm: nm,
    usual: between('usual'),
    spread: between('spread'),
    most: Math.max(low.most, high.most),
  };
}
