import type {
  Assembly,
  Cable,
  Closure,
  ColourScheme,
  Hardware,
  Instrument,
  Project,
} from '@cordel/core';
import { read } from '@/data/api';
import type { Removable } from './useRemoval';

interface Records {
  cable: Cable;
  hardware: Hardware;
  instrument: Instrument;
  scheme: ColourScheme;
}

const PATHS: Record<keyof Records, string> = {
  cable: 'cables',
  hardware: 'hardware',
  instrument: 'instruments',
  scheme: 'schemes',
};

/** A record that is put back as it was by putting it again. */
export const removable = <Kind extends keyof Records>(
  kind: Kind,
  record: Records[Kind],
): Removable => ({
  kind,
  id: record.id,
  name: record.name,
  restoring: async () => [
    { method: 'PUT', path: `/api/${PATHS[kind]}/${record.id}`, body: record },
  ],
});

/** A closure; its hardware comes back with it. */
export const removableClosure = (closure: Closure, assemblies: readonly Assembly[]): Removable => ({
  kind: 'closure',
  id: closure.id,
  name: closure.name,
  restoring: async () => {
    const assembly = assemblies.find(({ closureId }) => closureId === closure.id);
    const change = (body: unknown) => ({
      method: 'POST' as const,
      path: `/api/assemblies/${closure.id}/changes`,
      body,
    });
    return [
      { method: 'PUT', path: `/api/closures/${closure.id}`, body: closure },
      ...(assembly?.hardwareId
        ? [
            change({ kind: 'hardware', hardwareId: assembly.hardwareId }),
            change({ kind: 'reach', reach: assembly.reach }),
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
  restoring: async () => [
    {
      method: 'POST',
      path: '/api/documents',
      body: await read(`/api/projects/${id}/document.json`),
    },
  ],
});
