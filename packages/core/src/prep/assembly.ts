import type { Assembly, AssemblyChange, CableEntry } from '../record/hardware.ts';

/** A closure of which nothing is described yet. */
export const emptyAssembly = (closureId: string): Assembly => ({
  closureId,
  hardwareId: null,
  reach: 0,
  entries: [],
});

/** A cable that enters, before anything is known of how. */
export const enteringCable = (
  id: string,
  cableId: string,
  kind: CableEntry['kind'] = 'end',
): CableEntry => ({
  id,
  cableId,
  kind,
  diameter: null,
  port: null,
  portOut: null,
  loop: 0,
  tubes: [],
  armoured: false,
  tracer: false,
  route: 0,
  inside: 0,
  conduit: 0,
  done: [],
});

/** What meets in a closure after a change. The same change made twice is the same as once. */
export function changeAssembly(assembly: Assembly, change: AssemblyChange): Assembly {
  const onEntry = (entryId: string, turn: (entry: CableEntry) => CableEntry): Assembly => ({
    ...assembly,
    entries: assembly.entries.map((entry) => (entry.id === entryId ? turn(entry) : entry)),
  });
  switch (change.kind) {
    case 'hardware':
      if (change.hardwareId === assembly.hardwareId) return assembly;
      // Ports are the hardware's own: those of another mean nothing here.
      return {
        ...assembly,
        hardwareId: change.hardwareId,
        entries: assembly.entries.map((entry) => ({ ...entry, port: null, portOut: null })),
      };
    case 'reach':
      return { ...assembly, reach: change.reach };
    case 'add':
      return assembly.entries.some(({ id }) => id === change.entry.id)
        ? assembly
        : { ...assembly, entries: [...assembly.entries, change.entry] };
    case 'enter':
      return onEntry(change.entryId, (entry) => ({ ...entry, ...change.part }));
    case 'remove':
      return {
        ...assembly,
        entries: assembly.entries.filter(({ id }) => id !== change.entryId),
      };
    case 'tick':
      return onEntry(change.entryId, (entry) => {
        const { step, by, at, answers, photos, override } = change;
        const others = entry.done.filter((tick) => tick.step !== step);
        return {
          ...entry,
          done: change.done ? [...others, { step, by, at, answers, photos, override }] : others,
        };
      });
  }
}
