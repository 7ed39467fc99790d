import type { CableEntry } from '../record/hardware.ts';

/** An express cable comes in on one leg and leaves on the other; any other cable has the first only. */
export const LEGS = ['in', 'out'] as const;
export type Leg = (typeof LEGS)[number];

export const legsOf = ({ kind }: Pick<CableEntry, 'kind'>): readonly Leg[] =>
  kind === 'express' ? LEGS : ['in'];

/** The port that a person chose for a leg; null where it takes the first that suits. */
export const portOfLeg = (entry: CableEntry, leg: Leg): string | null =>
  leg === 'in' ? entry.port : entry.portOut;

/** The leg as it is told beside a step; null where its cable has one only. */
export const namedLeg = (entry: Pick<CableEntry, 'kind'>, leg: Leg): Leg | null =>
  entry.kind === 'express' ? leg : null;
