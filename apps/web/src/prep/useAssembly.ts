import { useMemo } from 'react';
import { v7 as uuid } from 'uuid';
import {
  AT_PORT,
  type Assembly,
  type AssemblyChange,
  type Cable,
  type CableEntry,
  type CableLeg,
  type Closure,
  type CutPlan,
  type CutTask,
  type Hardware,
  type LengthUnit,
  type PortUse,
  type PrepStep,
  type Splice,
  cutPlan,
  emptyAssembly,
  enteringCable,
  openedUnits,
  prepSteps,
  sealOfLeg,
  sealPorts,
} from '@cordel/core';
import { commands } from '@cordel/client';
import { prepShared as t } from '@cordel/text/pages/prep/shared';
import { outbox } from '@/data/client';
import { useWork } from '@/data/queries';
import { type ProjectView, useProjectView } from '@/projects/context';

/** A cable that enters, with everything that follows from how it does. */
export interface OpenedEntry {
  entry: CableEntry;
  cable: Cable;
  task: CutTask | null;
  plan: CutPlan | null;
  steps: PrepStep[];
}

/** How many of its steps are done. */
export const doneOf = ({ done }: CableEntry, steps: readonly PrepStep[]): number => {
  const keys = new Set(done.map(({ step }) => step));
  return steps.filter(({ key }) => keys.has(key)).length;
};

export interface OpenedClosure {
  assembly: Assembly;
  hardware: Hardware | null;
  ports: PortUse[];
  /** Legs of cables for which no port is left. */
  left: CableLeg[];
  entries: OpenedEntry[];
  unit: LengthUnit;
}

/**
 * What meets in a closure, with its seals, cut plans and steps.
 * @param splices of the closure: they say what of an express cable is opened; none while they are not known
 */
/** Trays on which ribbons of a cable are spliced. */
const ribbonTraysOf = (cableId: string, splices: readonly Splice[]): number =>
  new Set(
    splices
      .filter(
        ({ method, tray, cableA, cableB }) =>
          method === 'mass' && tray !== AT_PORT && (cableA === cableId || cableB === cableId),
      )
      .map(({ tray }) => tray),
  ).size;

export function openedClosure(
  closure: Closure,
  view: ProjectView,
  splices: readonly Splice[] = [],
): OpenedClosure {
  const assembly =
    view.assemblies.find((entry) => entry.closureId === closure.id) ?? emptyAssembly(closure.id);
  const unit = view.project.units.length;
  const hardware = view.hardware.find((entry) => entry.id === assembly.hardwareId) ?? null;
  const { ports, left } = hardware
    ? sealPorts(hardware, assembly.entries)
    : { ports: [], left: [] };
  const entries = assembly.entries.flatMap((entry): OpenedEntry[] => {
    const cable = view.cable(entry.cableId);
    if (!cable) return [];
    const { makeUp } = cable;
    const { practice } = view.project;
    if (!hardware) return [{ entry, cable, task: null, plan: null, steps: [] }];
    const task = {
      hardware,
      makeUp,
      entry: { ...entry, tubes: openedUnits(entry, makeUp, splices) },
      practice,
      reach: assembly.reach,
      ...(splices.length > 0 && { ribbonTrays: ribbonTraysOf(cable.id, splices) }),
    };
    const seals = {
      in: sealOfLeg(ports, entry.id, 'in'),
      out: sealOfLeg(ports, entry.id, 'out'),
    };
    const plan = cutPlan(task);
    const scheme = view.schemes.find(({ id }) => id === cable.schemeId) ?? null;
    const steps = prepSteps({ task, plan, seals, scheme });
    return [{ entry, cable, task, plan, steps }];
  });
  return { assembly, hardware, ports, left, entries, unit };
}

/** What meets in a closure, and the ways to change it. */
export function useAssembly(closureId: string) {
  const view = useProjectView();
  const closure = view.closures.find((entry) => entry.id === closureId) ?? null;
  const splices = useWork(closureId).data?.splices;
  const opened = useMemo(
    () => (closure ? openedClosure(closure, view, splices) : null),
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
