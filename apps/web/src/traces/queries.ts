import { queryOptions, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { COMMANDS, type ShownTrace, answerOf, withWrites } from '@cordel/client';
import { api } from '@/data/api';
import { useOutbox } from '@/data/client';

const inProject = (projectId: string) => ({ params: { path: { projectId } } });

/** The traces of a project, as a table of a snapshot. */
async function readTraces(
  projectId: string,
): Promise<{ projectId: string; traces: readonly ShownTrace[] }> {
  const traces = await answerOf(api.GET('/api/projects/{projectId}/traces', inProject(projectId)));
  return { projectId, traces };
}

export const tracesQuery = (projectId: string) =>
  queryOptions({ queryKey: ['traces', projectId], queryFn: () => readTraces(projectId) });

/** The traces of a project, with those that wait to be sent. */
export function useTraces(projectId: string) {
  const { writes } = useOutbox();
  const query = useQuery(tracesQuery(projectId));
  const data = useMemo(
    () => query.data && withWrites(query.data, writes, COMMANDS).traces,
    [query.data, writes],
  );
  return { ...query, data };
}

const readProof = (projectId: string) =>
  answerOf(api.GET('/api/projects/{projectId}/proof', inProject(projectId)));

/** What the traces of a project show. */
export type ProofAnswer = Awaited<ReturnType<typeof readProof>>;

export const proofQuery = (projectId: string) =>
  queryOptions({ queryKey: ['proof', projectId], queryFn: () => readProof(projectId) });

export const useProof = (projectId: string) => useQuery(proofQuery(projectId));

const readCircuit = (projectId: string, cableId: string, fiber: number) =>
  answerOf(
    api.GET('/api/projects/{projectId}/proof/circuits/{cableId}/{fiber}', {
      params: { path: { projectId, cableId, fiber } },
    }),
  );

/** A circuit with its traces and what they show. */
export type CircuitAnswer = Awaited<ReturnType<typeof readCircuit>>;

export const useCircuit = (projectId: string, cableId: string, fiber: number) =>
  useQuery({
    queryKey: ['proof', projectId, 'circuit', cableId, fiber],
    queryFn: () => readCircuit(projectId, cableId, fiber),
    enabled: cableId !== '' && fiber > 0,
    placeholderData: (previous) => previous,
  });

export const circuitEndsQuery = (projectId: string, cableId: string) =>
  queryOptions({
    queryKey: ['proof', projectId, 'ends', cableId],
    queryFn: () =>
      answerOf(
        api.GET('/api/projects/{projectId}/cables/{cableId}/circuit-ends', {
          params: { path: { projectId, cableId } },
        }),
      ),
  });

/** Names of both ends of the circuit of a fiber, where it begins first; null while they are not known. */
export function useCircuitEnds(
  projectId: string,
  cableId: string,
  fiber: number,
): readonly [string, string] | null {
  const { data } = useQuery({ ...circuitEndsQuery(projectId, cableId), enabled: cableId !== '' });
  const own = data?.find((one) => one.fiber === fiber);
  return own ? [own.from, own.to] : null;
}

const readAlerts = (closureId: string) =>
  answerOf(api.GET('/api/closures/{closureId}/trace-alerts', { params: { path: { closureId } } }));

/** What traces say of the splices of a closure; asked again when traces come in, not with each splice. */
export const useTraceAlerts = (closureId: string) =>
  useQuery({ queryKey: ['traceAlerts', closureId], queryFn: () => readAlerts(closureId) });

const readFiberProof = (projectId: string, cableId: string, fiber: number) =>
  answerOf(
    api.GET('/api/projects/{projectId}/cables/{cableId}/fibers/{fiber}/proof', {
      params: { path: { projectId, cableId, fiber } },
    }),
  );

/** All that proves one fiber, from port to port. */
export type FiberProofAnswer = Awaited<ReturnType<typeof readFiberProof>>;

export const useFiberProof = (projectId: string, cableId: string, fiber: number) =>
  useQuery({
    queryKey: ['proof', projectId, 'fiber', cableId, fiber],
    queryFn: () => readFiberProof(projectId, cableId, fiber),
    enabled: cableId !== '' && fiber > 0,
  });

export const useReel = (projectId: string, cableId: string) =>
  useQuery({
    queryKey: ['proof', projectId, 'reel', cableId],
    queryFn: () =>
      answerOf(
        api.GET('/api/projects/{projectId}/cables/{cableId}/reel', {
          params: { path: { projectId, cableId } },
        }),
      ),
    enabled: cableId !== '',
  });

const readHistory = (projectId: string, cableId: string, fiber: number) =>
  answerOf(
    api.GET('/api/projects/{projectId}/proof/circuits/{cableId}/{fiber}/history', {
      params: { path: { projectId, cableId, fiber } },
    }),
  );

/** Shots of a circuit over the years. */
export type HistoryAnswer = Awaited<ReturnType<typeof readHistory>>;

export const useHistory = (projectId: string, cableId: string, fiber: number) =>
  useQuery({
    queryKey: ['proof', projectId, 'history', cableId, fiber],
    queryFn: () => readHistory(projectId, cableId, fiber),
  });

const PAGE = 200;

const readBudget = (projectId: string, offset: number) =>
  answerOf(
    api.GET('/api/projects/{projectId}/budget', {
      params: { path: { projectId }, query: { offset, limit: PAGE } },
    }),
  );

export const useBudget = (projectId: string) =>
  useInfiniteQuery({
    queryKey: ['ledger', projectId, 'budget'],
    queryFn: ({ pageParam }) => readBudget(projectId, pageParam),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => {
      const shown = pages.reduce((sum, page) => sum + page.rows.length, 0);
      return shown < last.total && last.rows.length > 0 ? shown : undefined;
    },
  });
