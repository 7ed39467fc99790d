import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { answerOf } from '@cordel/client';
import { api } from '@/data/api';

const inProject = (projectId: string) => ({ params: { path: { projectId } } });

const readTraces = (projectId: string) =>
  answerOf(api.GET('/api/projects/{projectId}/traces', inProject(projectId)));

/** A trace that is on the server, and where it belongs. */
export type KeptTraceRow = Awaited<ReturnType<typeof readTraces>>[number];

export const useTraces = (projectId: string) =>
  useQuery({
    queryKey: ['traces', projectId],
    queryFn: () => readTraces(projectId),
  });

const readProof = (projectId: string) =>
  answerOf(api.GET('/api/projects/{projectId}/proof', inProject(projectId)));

/** What the traces of a project show. */
export type ProofAnswer = Awaited<ReturnType<typeof readProof>>;

export const useProof = (projectId: string) =>
  useQuery({
    queryKey: ['proof', projectId],
    queryFn: () => readProof(projectId),
  });

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
