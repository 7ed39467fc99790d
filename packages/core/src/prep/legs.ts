import type { CableEntry } from '../record/hardware.ts';
import { LEGS, type Leg } from '../record/splice.ts';

export const legsOf = ({ kind }: Pick<CableEntry, 'kind'>): readonly Leg[] =>
  kind === 'express' ? LEGS : ['in'];

/** The port that a person chose for a leg; null where it takes the first that suits. */
export const portOfLeg = (entry: CableEntry, leg: Leg): string | null =>
  leg === 'in' ? entry.port : entry.portOut;

/** The leg as it is told beside a step; null where its cable has one only. */
export const namedLeg = (entry: Pick<CableEntry, 'kind'>, leg: Leg): Leg | null =>
  entry.kind === 'express' ? leg : null;
