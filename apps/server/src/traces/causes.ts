import { type Finding, findCauses } from '@cordel/core/otdr';
import type { Proof } from './proof.ts';

/** What is bad in a project by its traces, why, and where to go. */
export const causesOf = ({ aligned, circuits, figures, figured, splices }: Proof): Finding[] =>
  findCauses(aligned, circuits, figures, figured, splices);
