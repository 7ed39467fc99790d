import { createContext, useContext } from 'react';
import {
  type Cable,
  type FiberAddress,
  type Leg,
  type ListCable,
  addressOf,
  isDevice,
} from '@cordel/core';
import type { ProjectSnapshot } from '@cordel/client';
import { deviceFiberText } from '@cordel/text/fiber';

export interface ProjectView extends ProjectSnapshot {
  /** Its cables, without what stands in closures. */
  cables: Cable[];
  /** Splitters and ports that stand in closures. */
  devices: Cable[];
  /** A cable or a device. */
  cable(id: string): Cable | undefined;
  /** The address of a fiber, or null where the cable or scheme is not known. */
  address(cableId: string, fiber: number): FiberAddress | null;
  /** What a plan names, each with its color scheme: cables, and the devices of one closure or of all. */
  planCables(closureId?: string): ListCable[];
  /** Whether a record is out of the way: lists to choose from leave it out. */
  isArchived(item: { id: string }): boolean;
  /** Such as `A 125`, `A.in 125` on a leg of an express cable, or `T1 port 3`. */
  fiberName(cableId: string, fiber: number, leg?: Leg | null): string;
}

/** A project with the look-ups that pages need. */
export function viewOf(snapshot: ProjectSnapshot): ProjectView {
  const cables = new Map(snapshot.cables.map((cable) => [cable.id, cable]));
  const schemes = new Map(snapshot.schemes.map((scheme) => [scheme.id, scheme]));
  const archived = new Set(snapshot.archived);
  return {
    ...snapshot,
    isArchived: ({ id }) => archived.has(id),
    cables: snapshot.cables.filter(({ makeUp }) => !isDevice(makeUp)),
    devices: snapshot.cables.filter(({ makeUp }) => isDevice(makeUp)),
    planCables: (closureId) =>
      snapshot.cables.flatMap(({ name, makeUp, schemeId, closureId: at }) => {
        const scheme = schemes.get(schemeId);
        const isHere = at === null || closureId === undefined || at === closureId;
        return scheme && isHere ? [{ name, makeUp, scheme }] : [];
      }),
    cable: (id) => cables.get(id),
    address: (cableId, fiber) => {
      const cable = cables.get(cableId);
      const scheme = cable && schemes.get(cable.schemeId);
      return scheme ? addressOf(cable.makeUp, scheme, fiber) : null;
    },
    fiberName: (cableId, fiber, leg) => {
      const cable = cables.get(cableId);
      const own = (cable && deviceFiberText(cable.makeUp, fiber)) ?? fiber;
      return `${cable?.name ?? '?'}${leg ? `.${leg}` : ''} ${own}`;
    },
  };
}

/** The project a page is about. */
export const ProjectContext = createContext<ProjectView | null>(null);

export function useProjectView(): ProjectView {
  const view = useContext(ProjectContext);
  if (!view) throw new Error('useProjectView needs ProjectFrame');
  return view;
}
