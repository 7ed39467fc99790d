import { useMemo } from 'react';
import { v7 as uuid } from 'uuid';
import {
  type AssemblyChange,
  type Cable,
  type CableEntry,
  type Closure,
  type OpenedClosure,
  type PrepStep,
  type Splice,
  emptyAssembly,
  enteringCable,
  openedClosure,
} from '@cordel/core';
import { commands } from '@cordel/client';
import { prepShared as t } from '@cordel/text/pages/prep/shared';
import { outbox } from '@/data/client';
import { useWork } from '@/data/queries';
import { type ProjectView, useProjectView } from '@/projects/context';

/** How many of its steps are done. */
export const doneOf = ({ done }: CableEntry, steps: readonly PrepStep[]): number => {
  const keys = new Set(done.map(({ step }) => step));
  return steps.filter(({ key }) => keys.has(key)).length;
};

/** A closure of the project with its seals, cut plans and steps. */
export const openedOf = (
  closure: Closure,
  view: ProjectView,
  splices: readonly Splice[] = [],
): OpenedClosure =>
  openedClosure(
    view.assemblies.find((entry) => entry.closureId === closure.id) ?? emptyAssembly(closure.id),
    { ...view, practice: view.project.practice },
    splices,
  );

/** What meets in a closure, and the ways to change it. */
export function useAssembly(closureId: string) {
  const view = useProjectView();
  const closure = view.closures.find((entry) => entry.id === closureId) ?? null;
  const splices = useWork(closureId).data?.splices;
  const opened = useMemo(
    () => (closure ? openedOf(closure, view, splices) : null),
    [closure, view, splices],
  );
  /** Sends one change; what is shown follows at once. */
  const change = (what: AssemblyChange) =>
    void outbox.add(
      commands.changeAssemblyOf,
      { closureId, change: what },
      t('whatMeetsIn', { name: closure?.name ?? 'a closure' }),
    );
  return { closure, opened, change };
}

export type AssemblyHook = ReturnType<typeof useAssembly>;

/** A cable that enters, before anything is known of how. */
export const newEntry = (cable: Cable): CableEntry =>
  enteringCable(uuid(), cable.id, cable.makeUp.kind === 'drop' ? 'drop' : 'end');
