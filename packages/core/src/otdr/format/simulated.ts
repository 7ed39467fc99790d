import type { SorFile } from './sorFile.ts';

/** What the simulated OTDR writes as its maker, so that its files are known whatever they are called. */
export const SIMULATED_MAKER = 'Cordel simulator';

/** Makers that earlier versions of the simulated OTDR wrote, each with the comment beside it. */
const EARLIER = { maker: 'Stand-in', comment: 'Simulated' };

/** Whether a trace file was made by the simulated OTDR. */
export const isSimulatedTrace = ({ supplier, general }: SorFile): boolean =>
  supplier?.supplier === SIMULATED_MAKER ||
  (supplier?.supplier === EARLIER.maker && general?.comment === EARLIER.comment);
