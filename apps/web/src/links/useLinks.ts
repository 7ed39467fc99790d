import { queryOptions, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import {
  type CircuitBudget,
  type LinkEntry,
  type LinkState,
  type LinkVerdict,
  NO_LINK_STATE,
  judgeLink,
  lastReferences,
  linkStates,
} from '@cordel/core';
import { COMMANDS, answerOf, commands, withWrites } from '@cordel/client';
import { newStamp } from '@/bench/record';
import { api } from '@/data/api';
import { outbox, useOutbox } from '@/data/client';
import { useProjectView } from '@/projects/context';

/** The links through a cable as the server has them, as a table of a snapshot. */
async function readLinks(projectId: string, cableId: string) {
  const { circuits, entries } = await answerOf(
    api.GET('/api/projects/{projectId}/cables/{cableId}/links', {
      params: { path: { projectId, cableId } },
    }),
  );
  return { projectId, circuits, links: entries };
}

const linksQuery = (projectId: string, cableId: string) =>
  queryOptions({
    queryKey: ['links', projectId, cableId],
    queryFn: () => readLinks(projectId, cableId),
    enabled: cableId !== '',
  });

/** A circuit that runs through the cable, with what was measured of it. */
export interface ShownLink {
  key: string;
  fiber: number;
  label: string;
  from: string;
  to: string;
  isThrough: boolean;
  budgets: CircuitBudget[];
  state: LinkState;
  verdict: LinkVerdict;
}

/** The links through a cable, with what waits to be sent, judged. */
export function useLinks(cableId: string) {
  const { project } = useProjectView();
  const { writes } = useOutbox();
  const query = useQuery(linksQuery(project.id, cableId));
  const held = query.data;
  const connectorMdb = project.budget.connector.usual;
  const shown = useMemo(() => {
    if (!held) return null;
    const { circuits, links } = withWrites(held, writes, COMMANDS);
    const keys = new Map(
      circuits.flatMap(({ key, fibers }) =>
        fibers.map(({ cableId: on, fiber }) => [`${on} ${fiber}`, key] as const),
      ),
    );
    const states = linkStates(links, (on, fiber) => keys.get(`${on} ${fiber}`) ?? null);
    return {
      references: lastReferences(links),
      links: circuits.map(({ fibers: _on, ...circuit }): ShownLink => {
        const state = states.get(circuit.key) ?? NO_LINK_STATE;
        return { ...circuit, state, verdict: judgeLink(state, circuit.budgets, connectorMdb) };
      }),
    };
  }, [held, writes, connectorMdb]);
  return { query, shown };
}

/** What an entry is besides its stamp and its project. */
export type Unsigned<Entry = LinkEntry> = Entry extends LinkEntry
  ? Omit<Entry, 'id' | 'by' | 'at' | 'projectId'>
  : never;

/** Records entries through the outbox, and gives them back signed. */
export function recordLinks(
  projectId: string,
  entries: readonly Unsigned[],
  label: string,
): LinkEntry[] {
  const signed = entries.map((entry): LinkEntry => ({ ...newStamp(), projectId, ...entry }));
  void outbox.add(commands.recordLinks, { projectId, entries: signed }, label);
  return signed;
}
