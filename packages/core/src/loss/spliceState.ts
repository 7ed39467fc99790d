import {
  type Attempt,
  type Evidence,
  type Inspection,
  type Reading,
  type Ruling,
  retirementsOf,
} from '../record/evidence.ts';
import { type Grade, gradeRank } from '../record/limits.ts';
import { type Origin, originOfAll } from '../record/origin.ts';

/** A loss that counts, in half-thousandths of a dB, so that the mean of two readings stays whole. */
export interface Figure {
  grade: Grade;
  /** In nm; null for an estimate, which knows none. */
  wavelengthNm: number | null;
  lossHalfMdb: number;
  origin: Origin;
}

/** Both directions of one wavelength, in thousandths of a dB, as far as they are measured. */
export interface Directions {
  wavelengthNm: number;
  AB: number | null;
  BA: number | null;
}

/** What stands of a splice once corrections are applied. */
export interface SpliceState {
  /** The tries that count, oldest first; the last one is the joint as it lies in the tray. */
  tries: Attempt[];
  /** Figures of the last try, a figure a grade and wavelength. */
  figures: Figure[];
  /** One-way readings of the last try. */
  directions: Directions[];
  /** Of an end: what was seen last of the last try. */
  inspection: Pick<Inspection, 'face' | 'light'>;
  /** A person's word in force: dead, skipped, to redo or accepted. */
  ruling: Ruling | null;
  /** The word that its joint was removed; null while it lies. */
  retired: Ruling | null;
}

/**
 * Derives what counts of one splice.
 * - An entry that is superseded or void does not count; of several corrections the last recorded does.
 * - What lay there is judged as before once it is removed: its record goes on saying what it was.
 * - A new try breaks the joint, so readings and rulings of an earlier try do not count.
 * - Of several readings of the same kind the last recorded counts.
 * - Both directions of a wavelength make a two-way average; against a mean entered by hand the later counts.
 * @param evidence all entries of one splice, in the order in which they were recorded
 */
export function spliceStateOf(evidence: readonly Evidence[]): SpliceState {
  const superseded = new Set<string>();
  for (const entry of evidence) {
    if (entry.type !== 'ruling' && entry.supersedes !== null) superseded.add(entry.supersedes);
  }
  const tries = triesOf(evidence);
  const last = tries.at(-1) ?? null;
  const readings: Reading[] = [];
  const inspection: SpliceState['inspection'] = { face: null, light: null };
  let ruling: Ruling | null = null;
  for (const entry of evidence) {
    if (entry.type === 'ruling' && entry.kind !== 'retire') ruling = entry;
    if (entry.type === 'attempt' || entry.type === 'ruling') continue;
    if (entry.void || superseded.has(entry.id)) continue;
    if (entry.tryId !== (last?.tryId ?? null)) continue;
    if (entry.type === 'reading') readings.push(entry);
    else {
      inspection.face = entry.face ?? inspection.face;
      inspection.light = entry.light ?? inspection.light;
    }
  }
  if (
    ruling?.kind === 'reopen' ||
    // All but `dead` speak of the joint as it lay then: a new try is judged by itself.
    (ruling !== null && ruling.kind !== 'dead' && ruling.tryId !== (last?.tryId ?? null))
  )
    ruling = null;
  const retired = retirementsOf(evidence).values().next().value ?? null;
  return { tries, inspection, ruling, retired, ...figuresOf(last, readings) };
}

function triesOf(evidence: readonly Evidence[]): Attempt[] {
  const inForce = new Map<string, Attempt>();
  for (const entry of evidence) {
    // A Map keeps the place of a key's first entry: tries stay in the order in which they were made.
    if (entry.type === 'attempt') inForce.set(entry.tryId, entry);
  }
  return [...inForce.values()].filter((attempt) => !attempt.void);
}

function figuresOf(
  last: Attempt | null,
  readings: Reading[],
): Pick<SpliceState, 'figures' | 'directions'> {
  const figures = new Map<string, Figure & { at: number }>();
  const directions = new Map<number, Directions & { at: number; origins: Map<string, Origin> }>();
  readings.forEach((reading, at) => {
    const { wavelengthNm, grade } = reading;
    if (reading.direction === null) {
      figures.set(`${grade} ${wavelengthNm}`, {
        grade,
        wavelengthNm,
        lossHalfMdb: reading.lossMdb * 2,
        origin: reading.origin,
        at,
      });
      return;
    }
    const both = directions.get(wavelengthNm) ?? {
      wavelengthNm,
      AB: null,
      BA: null,
      origins: new Map(),
      at,
    };
    both.origins.set(reading.direction, reading.origin);
    directions.set(wavelengthNm, { ...both, [reading.direction]: reading.lossMdb, at });
  });
  for (const { wavelengthNm, AB, BA, origins, at } of directions.values()) {
    const one = AB ?? BA;
    const origin = originOfAll(origins.values())!;
    if (AB !== null && BA !== null) {
      const entered = figures.get(`two-way ${wavelengthNm}`);
      if (!entered || entered.at < at) {
        figures.set(`two-way ${wavelengthNm}`, {
          grade: 'two-way',
          wavelengthNm,
          lossHalfMdb: AB + BA,
          origin,
          at,
        });
      }
    } else if (one !== null) {
      figures.set(`one-way ${wavelengthNm}`, {
        grade: 'one-way',
        wavelengthNm,
        lossHalfMdb: one * 2,
        origin,
        at,
      });
    }
  }
  const list: Figure[] = [...figures.values()].map(
    ({ grade, wavelengthNm, lossHalfMdb, origin }) => ({
      grade,
      wavelengthNm,
      lossHalfMdb,
      origin,
    }),
  );
  if (last?.estimateMdb != null)
    list.push({
      grade: 'estimate',
      wavelengthNm: null,
      lossHalfMdb: last.estimateMdb * 2,
      origin: last.origin,
    });
  list.sort(
    (a, b) =>
      gradeRank(b.grade) - gradeRank(a.grade) || (a.wavelengthNm ?? 0) - (b.wavelengthNm ?? 0),
  );
  return {
    figures: list,
    directions: [...directions.values()]
      .map(({ wavelengthNm, AB, BA }) => ({ wavelengthNm, AB, BA }))
      .sort((a, b) => a.wavelengthNm - b.wavelengthNm),
  };
}
