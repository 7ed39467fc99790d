import {
  infiniteQueryOptions,
  queryOptions,
  useInfiniteQuery,
  useQueries,
  useQuery,
} from '@tanstack/react-query';
import { useMemo } from 'react';
import {
  type ClosureWork,
  COMMANDS,
  answerOf,
  commands,
  newProjectSnapshot,
  projectWithWrites,
  waitingInputs,
  withEvidence,
  withWrites,
} from '@cordel/client';
import type { paths } from '@cordel/client/paths';
import type { FiberRow, Page, RedoRow, SpliceRow, TrayRow } from '@cordel/core';
import { api } from './api';
import { useOutbox, usePendingEvidence } from './client';

const projectsQuery = queryOptions({
  queryKey: ['projects'],
  queryFn: () => answerOf(api.GET('/api/projects')),
});

/** A project's records, as the server has them. */
export const projectQuery = (projectId: string) =>
  queryOptions({
    queryKey: ['project', projectId],
    queryFn: () =>
      answerOf(api.GET('/api/projects/{projectId}', { params: { path: { projectId } } })),
  });

/** All projects, as they will be once all is sent. */
export function useProjects() {
  const { writes } = useOutbox();
  const query = useQuery(projectsQuery);
  const data = useMemo(
    () => query.data && withWrites({ projects: query.data }, writes, COMMANDS).projects,
    [query.data, writes],
  );
  return { ...query, data };
}

/** A project with its cables, closures and schemes, as they will be once all is sent. */
export function useProject(projectId: string) {
  const { writes } = useOutbox();
  const pending = waitingInputs(writes, commands.saveProject).find(({ id }) => id === projectId);
  const query = useQuery({
    ...projectQuery(projectId),
    enabled: projectId !== '' && !pending,
  });
  const data = useMemo(() => {
    const held = query.data ?? (pending && newProjectSnapshot(pending));
    return held && projectWithWrites(held, writes);
  }, [query.data, pending, writes]);
  return { ...query, data, cursor: query.data?.cursor };
}

export const schemesQuery = queryOptions({
  queryKey: ['schemes'],
  queryFn: () => answerOf(api.GET('/api/schemes')),
});

export const useSchemes = () => useQuery(schemesQuery);

/** How closures stand. */
export const summaryQuery = (projectId: string) =>
  queryOptions({
    queryKey: ['ledger', projectId, 'closures'],
    queryFn: () =>
      answerOf(
        api.GET('/api/projects/{projectId}/ledger/closures', { params: { path: { projectId } } }),
      ),
  });

export const useSummary = (projectId: string) =>
  useQuery({ ...summaryQuery(projectId), enabled: projectId !== '' });

/** A closure's splices and evidence, as the server has it. */
export const readWork = (closureId: string) =>
  answerOf(api.GET('/api/closures/{closureId}/work', { params: { path: { closureId } } }));

export const workQuery = (closureId: string) =>
  queryOptions({ queryKey: ['work', closureId], queryFn: () => readWork(closureId) });

/** A closure's splices and evidence, with what waits to be sent. */
export function useWork(closureId: string) {
  const pending = usePendingEvidence();
  const query = useQuery({ ...workQuery(closureId), enabled: closureId !== '' });
  const data = useMemo(
    () => query.data && withEvidence(query.data, pending),
    [query.data, pending],
  );
  return { ...query, data };
}

/** The same of several closures: null while one of them is still being read, or could not be. */
export function useWorks(closureIds: readonly string[]): {
  works: ClosureWork[] | null;
  error: Error | null;
} {
  const pending = usePendingEvidence();
  const { held, error } = useQueries({
    queries: closureIds.map(workQuery),
    combine: (queries) => ({
      held: queries.every(({ data }) => data) ? queries.map(({ data }) => data!) : null,
      error: queries.find((query) => query.error && !query.data)?.error ?? null,
    }),
  });
  const works = useMemo(
    () => held && held.map((work) => withEvidence(work, pending)),
    [held, pending],
  );
  return { works, error };
}

export function useSplice(spliceId: string) {
  const pending = usePendingEvidence();
  const query = useQuery({
    queryKey: ['splice', spliceId],
    queryFn: () => answerOf(api.GET('/api/splices/{spliceId}', { params: { path: { spliceId } } })),
  });
  const data = useMemo(() => {
    if (!query.data) return undefined;
    const { splice, evidence } = query.data;
    const known = new Set(evidence.map(({ id }) => id));
    const fresh = pending.filter((entry) => entry.spliceId === splice.id && !known.has(entry.id));
    return { splice, evidence: [...evidence, ...fresh] };
  }, [query.data, pending]);
  return { ...query, data };
}

export const useFiber = (projectId: string, cableId: string, fiber: number) =>
  useQuery({
    queryKey: ['fiber', projectId, cableId, fiber],
    queryFn: () =>
      answerOf(
        api.GET('/api/projects/{projectId}/fibers/{cableId}/{fiber}', {
          params: { path: { projectId, cableId, fiber } },
        }),
      ),
  });

const PAGE = 200;
/** Rows that the server gives at once at most. */
const MOST_ROWS = 1000;

type LedgerQuery = NonNullable<
  paths['/api/projects/{projectId}/ledger/splices']['get']['parameters']['query']
>;

const asked = (projectId: string, query: LedgerQuery) => ({
  params: { path: { projectId }, query },
});

/** What a row of each list of the Ledger is. */
interface LedgerRows {
  trays: TrayRow;
  fibers: FiberRow;
  splices: SpliceRow;
  redo: RedoRow;
}

type ReadLedger<View extends keyof LedgerRows> = (
  projectId: string,
  query: LedgerQuery,
) => Promise<Page<LedgerRows[View]>>;

/** The lists of the Ledger that come in pages. */
const LEDGER: { [View in keyof LedgerRows]: ReadLedger<View> } = {
  trays: (id, query) =>
    answerOf(api.GET('/api/projects/{projectId}/ledger/trays', asked(id, query))),
  fibers: (id, query) =>
    answerOf(api.GET('/api/projects/{projectId}/ledger/fibers', asked(id, query))),
  splices: (id, query) =>
    answerOf(api.GET('/api/projects/{projectId}/ledger/splices', asked(id, query))),
  redo: (id, query) => answerOf(api.GET('/api/projects/{projectId}/ledger/redo', asked(id, query))),
};

/** Rows of the Ledger, page after page. */
export const ledgerQuery = <View extends keyof LedgerRows>(
  projectId: string,
  view: View,
  query: LedgerQuery,
) =>
  infiniteQueryOptions({
    queryKey: ['ledger', projectId, view, query],
    queryFn: ({ pageParam }) =>
      LEDGER[view](projectId, { ...query, offset: pageParam, limit: PAGE }),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => {
      const shown = pages.reduce((sum, page) => sum + page.rows.length, 0);
      return shown < last.total && last.rows.length > 0 ? shown : undefined;
    },
  });

/** Rows of the first pages of a list of the Ledger, as its query has them, in fewer requests. */
export async function readLedgerPages<View extends keyof LedgerRows>(
  projectId: string,
  view: View,
  query: LedgerQuery,
  mostPages: number,
): Promise<{ pages: Page<LedgerRows[View]>[]; pageParams: number[] }> {
  const rows: LedgerRows[View][] = [];
  let total = Infinity;
  while (rows.length < Math.min(total, mostPages * PAGE)) {
    const part = await LEDGER[view](projectId, { ...query, offset: rows.length, limit: MOST_ROWS });
    rows.push(...part.rows);
    total = part.rows.length > 0 ? part.total : rows.length;
  }
  const starts = Array.from(
    { length: Math.min(mostPages, Math.max(1, Math.ceil(rows.length / PAGE))) },
    (_, index) => index * PAGE,
  );
  const pages = starts.map((start) => ({ rows: rows.slice(start, start + PAGE), total }));
  return { pages, pageParams: starts };
}

export const useLedger = <View extends keyof LedgerRows>(
  projectId: string,
  view: View,
  query: LedgerQuery,
) =>
  useInfiniteQuery({
    ...ledgerQuery(projectId, view, query),
    placeholderData: (previous) => previous,
  });
