import type { LinkEntry, LinkEntryOf, Reference } from '../record/link.ts';
import type { Direction } from '../record/trace.ts';
import { lossBy } from './meter.ts';

/** A link measured one way. Thousandths of a dB. */
export interface LinkReading {
  entry: LinkEntryOf<'loss'>;
  reference: Reference;
  lossMdb: number;
  /** The meter's calibration had run out on that day. */
  isExpired: boolean;
}

/** What counts of a link at one wavelength. */
export interface LinkLoss {
  wavelengthNm: number;
  AB: LinkReading | null;
  BA: LinkReading | null;
  returnLoss: { [Way in Direction]: LinkEntryOf<'return loss'> | null };
}

/** What counts of a circuit, by its entries. */
export interface LinkState {
  losses: LinkLoss[];
  continuity: LinkEntryOf<'continuity'> | null;
}

export const NO_LINK_STATE: LinkState = { losses: [], continuity: null };

/** References of a list by their ids. */
export const referencesOf = (entries: readonly LinkEntry[]): Map<string, Reference> =>
  new Map(entries.flatMap((entry) => (entry.kind === 'reference' ? [[entry.id, entry]] : [])));

/** The last reference at each wavelength. */
export function lastReferences(entries: readonly LinkEntry[]): Map<number, Reference> {
  const last = new Map<number, Reference>();
  for (const entry of entries) if (entry.kind === 'reference') last.set(entry.wavelengthNm, entry);
  return last;
}

/**
 * What counts of each circuit: of several readings alike the last one, without those that were taken back.
 * @param entries in the order in which they were recorded
 * @param circuitOf the circuit of a fiber, by a key; null for one that is not asked for
 */
export function linkStates(
  entries: readonly LinkEntry[],
  circuitOf: (cableId: string, fiber: number) => string | null,
): Map<string, LinkState> {
  const references = referencesOf(entries);
  const superseded = new Set(
    entries.flatMap((entry) =>
      entry.kind !== 'reference' && entry.supersedes !== null ? [entry.supersedes] : [],
    ),
  );
  const states = new Map<string, LinkState>();
  for (const entry of entries) {
    if (entry.kind === 'reference' || entry.void || superseded.has(entry.id)) continue;
    const key = circuitOf(entry.cableId, entry.fiber);
    if (key === null) continue;
    const state = states.get(key) ?? { losses: [], continuity: null };
    states.set(key, state);
    if (entry.kind === 'continuity') {
      state.continuity = entry;
      continue;
    }
    if (entry.kind === 'return loss') {
      lossAt(state, entry.wavelengthNm).returnLoss[entry.direction] = entry;
      continue;
    }
    const reference = references.get(entry.referenceId);
    if (!reference) continue;
    lossAt(state, reference.wavelengthNm)[entry.direction] = {
      entry,
      reference,
      lossMdb: lossBy(entry, reference),
      isExpired:
        reference.calibratedUntil !== null && entry.at.slice(0, 10) > reference.calibratedUntil,
    };
  }
  return states;
}

/** The place of a wavelength in a state, which stay in their order. */
function lossAt({ losses }: LinkState, wavelengthNm: number): LinkLoss {
  const known = losses.find((loss) => loss.wavelengthNm === wavelengthNm);
  if (known) return known;
  const fresh: LinkLoss = {
    wavelengthNm,
    AB: null,
    BA: null,
    returnLoss: { AB: null, BA: null },
  };
  losses.push(fresh);
  losses.sort((a, b) => a.wavelengthNm - b.wavelengthNm);
  return fresh;
}
