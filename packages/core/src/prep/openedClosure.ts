import type { Cable, MakeUp } from '../record/cable.ts';
import type { Assembly, CableEntry, Hardware } from '../record/hardware.ts';
import type { Practice } from '../record/practice.ts';
import type { ColourScheme } from '../record/scheme.ts';
import { AT_PORT, type Splice } from '../record/splice.ts';
import type { CutPlan, CutTask } from './cutMarks.ts';
import { cutPlan } from './cutPlan.ts';
import { openedUnits } from './openedUnits.ts';
import { type CableLeg, type PortUse, sealOfLeg, sealPorts } from './seal.ts';
import { type PrepStep, prepSteps } from './steps.ts';

/** A cable that enters, with everything that follows from how it does. */
export interface OpenedEntry {
  entry: CableEntry;
  cable: Cable;
  task: CutTask | null;
  plan: CutPlan | null;
  steps: PrepStep[];
}

/** What meets in a closure, with its seals, cut plans and steps. */
export interface OpenedClosure {
  assembly: Assembly;
  hardware: Hardware | null;
  ports: PortUse[];
  /** Legs of cables for which no port is left. */
  left: CableLeg[];
  entries: OpenedEntry[];
}

/** What is known of the project that a closure is in. */
export interface OpeningSetting {
  hardware: readonly Hardware[];
  cable: (id: string) => Cable | undefined;
  schemes: readonly ColourScheme[];
  practice: Practice;
}

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

/**
 * What meets in a closure, with its seals, cut plans and steps. Cables that the project does not know are left out.
 * @param splices of the closure: they say what of an express cable is opened; none while they are not known
 */
export function openedClosure(
  assembly: Assembly,
  { hardware: profiles, cable: cableOf, schemes, practice }: OpeningSetting,
  splices: readonly Splice[] = [],
): OpenedClosure {
  const hardware = profiles.find(({ id }) => id === assembly.hardwareId) ?? null;
  const { ports, left } = hardware
    ? sealPorts(hardware, assembly.entries)
    : { ports: [], left: [] };
  const entries = assembly.entries.flatMap((entry): OpenedEntry[] => {
    const cable = cableOf(entry.cableId);
    if (!cable) return [];
    if (!hardware) return [{ entry, cable, task: null, plan: null, steps: [] }];
    const makeUp: MakeUp = cable.makeUp;
    const task: CutTask = {
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
    const scheme = schemes.find(({ id }) => id === cable.schemeId) ?? null;
    return [{ entry, cable, task, plan, steps: prepSteps({ task, plan, seals, scheme }) }];
  });
  return { assembly, hardware, ports, left, entries };
}
