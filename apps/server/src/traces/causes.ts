import { type Finding, findCauses } from '@cordel/core/otdr';
import type { Proof } from './proof.ts';

/** What is bad in a project by its traces, why, and where to go. */
export const causesOf = ({ laid, circuits, figures, joints, splices }: Proof): Finding[] =>
  findCauses(laid, circuits, figures, joints, splices);
