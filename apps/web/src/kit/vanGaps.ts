import type { Assembly, Closure, Limits } from '@cordel/core';
import { benchSplices, stageOf } from '@cordel/core/session';
import type { ClosureWork } from '@cordel/client';

/** What a van's list cannot count, or counts though it was put off. */
export interface VanGaps {
  /** Names of closures whose seals, plugs and parts nobody knows. */
  withoutHardware: string[];
  /** Splices that were skipped: they are still to be made. */
  skipped: number;
}

export function vanGaps(
  closures: readonly Pick<Closure, 'id' | 'name'>[],
  assemblies: readonly Pick<Assembly, 'closureId' | 'hardwareId'>[],
  works: readonly Pick<ClosureWork, 'splices' | 'evidence'>[],
  limits: Limits,
): VanGaps {
  return {
    withoutHardware: closures
      .filter(({ id }) => !assemblies.find((own) => own.closureId === id)?.hardwareId)
      .map(({ name }) => name),
    skipped: works
      .flatMap((work) => benchSplices(work, limits))
      .filter((splice) => stageOf(splice) === 'skipped').length,
  };
}
