import type { LossFigure, SpliceProof } from '../measure/pairTraces.ts';
import type { FindingMessage, WhereMessage } from '../messages.ts';
import type { FaultLocation } from './faultLocation.ts';

// Constants of this file that name no source were tuned on traces of the simulated OTDR (`packages/standin`).

export const CAUSES = [
  'break',
  'connector',
  'tray',
  'ribbon edge',
  'bend',
  'mode field',
  'splice',
  'unplanned',
  'ghost',
] as const;
export type Cause = (typeof CAUSES)[number];

/** What is bad or looks so, why, and where to go. */
export interface Finding {
  cause: Cause;
  /** `bad` is to be fixed; `look` is only to be known. */
  weight: 'bad' | 'look';
  circuits: string[];
  spliceIds: string[];
  closureId: string | null;
  /** What it is, and what speaks for it. */
  message: FindingMessage;
  /** Where to go; two places where a length between them was not seen. */
  where: WhereMessage[];
  place: FaultLocation | null;
}

/** A splice as it was planned, and what the project lets it lose. */
export interface SplicePlace {
  id: string;
  closureId: string;
  closure: string;
  tray: number;
  slot: number;
  /** How it is called: the fibers it joins. */
  label: string;
  mass: boolean;
  /** Place in its ribbon, from 1 to 12; null for a single. */
  position: number | null;
  /** Whether anyone has fused it yet. */
  made: boolean;
  /** Limits in dB for a mean of both directions and for one of them; null for none. */
  limitDb: { mean: number | null; oneWay: number | null };
}

/** Long waves leave a bend first: this much more at the longest is a bend, dB. */
export const BEND = 0.03;

/** What the traces say of one splice. */
export interface SpliceFigures {
  place: SplicePlace;
  circuit: string;
  /** Shortest wavelength first. */
  figures: SpliceProof[];
}

export const worst = ({ figures }: SpliceFigures): SpliceProof | null =>
  figures.reduce<SpliceProof | null>(
    (most, one) => (one.mean && (!most || one.mean.lossDb > most.mean!.lossDb) ? one : most),
    null,
  );

export const dB = (lossDb: number) => ({ lossDb });
export const withError = ({ lossDb, sigmaDb }: LossFigure) => ({ lossDb, sigmaDb });

export const isBad = (own: SpliceFigures): boolean => {
  const most = worst(own);
  const { mean } = own.place.limitDb;
  return most !== null && mean !== null && most.mean!.lossDb > mean;
};

/** A bend, where the longest wavelength loses clearly more than the shortest. */
export function bendOf({ place, figures }: SpliceFigures): FindingMessage | null {
  const both = figures.filter(({ mean }) => mean !== null);
  const [short, long] = [both[0], both.at(-1)];
  if (!short || !long || short === long) return null;
  const more = long.mean!.lossDb - short.mean!.lossDb;
  const sigma = Math.hypot(long.mean!.sigmaDb, short.mean!.sigmaDb);
  if (more < Math.max(BEND, 3 * sigma)) return null;
  return {
    code: 'bent',
    label: place.label,
    long: dB(long.mean!.lossDb),
    longNm: long.wavelengthNm,
    short: dB(short.mean!.lossDb),
    shortNm: short.wavelengthNm,
  };
}

/** Means of the longest wavelength, by splice. */
export function longest(all: readonly SpliceFigures[]): { own: SpliceFigures; loss: number }[] {
  return all.flatMap((own) => {
    const figure = own.figures.filter(({ mean }) => mean !== null).at(-1);
    return figure ? [{ own, loss: figure.mean!.lossDb }] : [];
  });
}
