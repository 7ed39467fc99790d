import { useMemo } from 'react';
import { useProjectView } from '@/projects/context';
import type { Opening } from '@/ui/stagesOf';
import { doneOf, openedOf } from './useAssembly';

/** How far the opening of a closure's cables has come. */
export function useOpening(closureId: string): Opening {
  const view = useProjectView();
  return useMemo(() => {
    const closure = view.closures.find((entry) => entry.id === closureId);
    const entries = closure ? openedOf(closure, view).entries : [];
    return {
      steps: entries.reduce((sum, { steps }) => sum + steps.length, 0),
      done: entries.reduce((sum, { entry, steps }) => sum + doneOf(entry, steps), 0),
    };
  }, [view, closureId]);
}
