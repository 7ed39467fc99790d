import { createContext, useContext } from 'react';
import { type Cable, type FiberAddress, type Leg, type ListCable, addressOf } from '@cordel/core';
import type { ProjectSnapshot } from '@cordel/client';

export interface ProjectView extends ProjectSnapshot {
  cable(id: string): Cable | undefined;
  /** The address of a fiber, or null where the cable or scheme is not known. */
  address(cableId: string, fiber: number): FiberAddress | null;
  /** Its cables as plans count them: by name, each with its colour scheme. */
  planCables: ListCable[];
  /** Whether a record is out of the way: lists to choose from leave it out. */
  isArchived(item: { id: string }): boolean;
  /** Such as `A 125`, or `A.in 125` on a leg of an express cable. */
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
    planCables: snapshot.cables.flatMap(({ name, makeUp, schemeId }) => {
      const scheme = schemes.get(schemeId);
      return scheme ? [{ name, makeUp, scheme }] : [];
    }),
    cable: (id) => cables.get(id),
    address: (cableId, fiber) => {
      const cable = cables.get(cableId);
      const scheme = cable && schemes.get(cable.schemeId);
      return scheme ? addressOf(cable.makeUp, scheme, fiber) : null;
    },
    fiberName: (cableId, fiber, leg) =>
      `${cables.get(cableId)?.name ?? '?'}${leg ? `.${leg}` : ''} ${fiber}`,
  };
}

/** The project a page is about. */
export const ProjectContext = createContext<ProjectView | null>(null);

export function useProjectView(): ProjectView {
  const view = useContext(ProjectContext);
  if (!view) throw new Error('useProjectView needs ProjectFrame');
  return view;
}
