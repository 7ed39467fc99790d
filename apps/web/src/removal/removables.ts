import { answerOf, commands } from '@cordel/client';
import type {
  Assembly,
  Cable,
  Closure,
  ColourScheme,
  Hardware,
  Instrument,
  Project,
} from '@cordel/core';
import { api } from '@/data/api';
import { outbox } from '@/data/client';
import type { Removable } from './useRemoval';

interface Records {
  cable: Cable;
  hardware: Hardware;
  instrument: Instrument;
  scheme: ColourScheme;
}

const SAVE: { [Kind in keyof Records]: (record: Records[Kind], label: string) => unknown } = {
  cable: (cable, label) => outbox.add(commands.saveCable, cable, label),
  hardware: (hardware, label) => outbox.add(commands.saveHardware, hardware, label),
  instrument: (instrument, label) => outbox.add(commands.saveInstrument, instrument, label),
  scheme: (scheme, label) => outbox.add(commands.saveScheme, scheme, label),
};

/** A record that is put back as it was by saving it again. */
export const removable = <Kind extends keyof Records>(
  kind: Kind,
  record: Records[Kind],
): Removable => ({
  kind,
  id: record.id,
  name: record.name,
  restoring: async () => [(label) => SAVE[kind](record, label)],
});

/** A closure; its hardware comes back with it. */
export const removableClosure = (closure: Closure, assemblies: readonly Assembly[]): Removable => ({
  kind: 'closure',
  id: closure.id,
  name: closure.name,
  restoring: async () => {
    const assembly = assemblies.find(({ closureId }) => closureId === closure.id);
    const hardwareId = assembly?.hardwareId;
    return [
      (label) => outbox.add(commands.saveClosure, closure, label),
      ...(assembly && hardwareId
        ? [
            (label: string) => {
              const changes = [
                { kind: 'hardware' as const, hardwareId },
                { kind: 'reach' as const, reach: assembly.reach },
              ];
              for (const change of changes)
                void outbox.add(
                  commands.changeAssemblyOf,
                  { closureId: closure.id, change },
                  label,
                );
            },
          ]
        : []),
    ];
  },
});

/** A project: its document, read before it goes, brings all of it back. */
export const removableProject = ({ id, name }: Pick<Project, 'id' | 'name'>): Removable => ({
  kind: 'project',
  id,
  name,
  restoring: async () => {
    const document = await answerOf(
      api.GET('/api/projects/{projectId}/document.json', { params: { path: { projectId: id } } }),
    );
    return [(label) => outbox.add(commands.importDocument, { document }, label)];
  },
});
