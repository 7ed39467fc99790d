import type { POLISHES, Splice } from '@cordel/core';
import { useProjectView } from '@/projects/context';

/** How the end face is polished that a fiber gets: by the ports that it is terminated onto. */
export function usePolish({ cableB }: Splice): (typeof POLISHES)[number] {
  const makeUp = useProjectView().cable(cableB)?.makeUp;
  return makeUp?.kind === 'ports' ? makeUp.polish : 'UPC';
}
