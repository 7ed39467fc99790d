import { useInfiniteQuery, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import type {
  ClosureRow,
  ColourScheme,
  Evidence,
  Page,
  Project,
  Splice,
  SpliceRow,
  TallyRow,
} from '@cordel/core';
import { read } from './api';
import { useOutbox, usePendingEvidence, withEvidence } from './client';
import type { Write } from './outbox';
import { type ProjectSetting, type Work, newSetting, withWrite } from './setting';

/** A project as the list of all has it. */
export type ListedProject = Project & { archived: boolean };

const PROJECT_RECORD = /^\/api\/records\/project\/([^/]+?)(\/archived)?$/;

/** Projects as they will be once all is sent. */
function withPending(
  projects: readonly ListedProject[],
  writes: readonly Write[],
): ListedProject[] {
  const merged = new Map(projects.map((project) => [project.id, project]));
  for (const write of writes) {
    if (write.state !== 'waiting') continue;
    if (/^\/api\/projects\/[^/]+$/.test(write.path)) {
      const project = write.body as Project;
      merged.set(project.id, { archived: false, ...merged.get(project.id), ...project });
      continue;
    }
    const [, id, archived] = PROJECT_RECORD.exec(write.path) ?? [];
    const known = id === undefined ? undefined : merged.get(id);
    if (!known) continue;
    if (archived)
      merged.set(known.id, { ...known, ...(write.body as Pick<ListedProject, 'archived'>) });
    else merged.delete(known.id);
  }
  return [...merged.values()];
}

export function useProjects() {
  const { writes } = useOutbox();
  const query = useQuery({
    queryKey: ['projects'],
    queryFn: () => read<ListedProject[]>('/api/projects'),
  });
  const data = useMemo(() => query.data && withPending(query.data, writes), [query.data, writes]);
  return { ...query, data };
}

/** A project with its cables, closures and schemes, as they will be once all is sent. */
export function useProject(projectId: string) {
  const { writes } = useOutbox();
  const pending = writes.find(
    (write) => write.path === `/api/projects/${projectId}` && write.state === 'waiting',
  );
  const query = useQuery({
    queryKey: ['project', projectId],
    queryFn: () => read<ProjectSetting>(`/api/projects/${projectId}`),
    enabled: projectId !== '' && !pending,
  });
  const data = useMemo((): ProjectSetting | undefined => {
    const held = query.data ?? (pending && newSetting(pending.body as Project));
    if (!held) return undefined;
    return writes.filter((write) => write.state === 'waiting').reduce(withWrite, held);
  }, [query.data, pending, writes]);
  return { ...query, data };
}

export const useSchemes = () =>
  useQuery({ queryKey: ['schemes'], queryFn: () => read<ColourScheme[]>('/api/schemes') });

export const useSummary = (projectId: string) =>
  useQuery({
    queryKey: ['ledger', projectId, 'closures'],
    queryFn: () =>
      read<{ project: TallyRow; closures: ClosureRow[] }>(
        `/api/projects/${projectId}/ledger/closures`,
      ),
    enabled: projectId !== '',
  });

/** A closure's splices and evidence, with what waits to be sent. */
export function useWork(closureId: string) {
  const pending = usePendingEvidence();
  const query = useQuery({
    queryKey: ['work', closureId],
    queryFn: () => read<Work>(`/api/closures/${closureId}/work`),
    enabled: closureId !== '',
  });
  const data = useMemo(
    () => query.data && withEvidence(query.data, pending),
    [query.data, pending],
  );
  return { ...query, data };
}

export interface SpliceDetail {
  splice: Splice;
  evidence: Evidence[];
}

export function useSplice(spliceId: string) {
  const pending = usePendingEvidence();
  const query = useQuery({
    queryKey: ['splice', spliceId],
    queryFn: () => read<SpliceDetail>(`/api/splices/${spliceId}`),
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
      read<{ rows: SpliceRow[] }>(`/api/projects/${projectId}/fibers/${cableId}/${fiber}`),
  });

const PAGE = 200;

/** Rows of the Ledger, page after page. */
export function useLedger<Row>(
  projectId: string,
  view: string,
  query: Record<string, string | undefined>,
) {
  return useInfiniteQuery({
    queryKey: ['ledger', projectId, view, query],
    queryFn: ({ pageParam }) => {
      const search = new URLSearchParams({ offset: String(pageParam), limit: String(PAGE) });
      for (const [key, value] of Object.entries(query)) if (value) search.set(key, value);
      return read<Page<Row>>(`/api/projects/${projectId}/ledger/${view}?${search}`);
    },
    initialPageParam: 0,
    getNextPageParam: (last, pages) => {
      const shown = pages.reduce((sum, page) => sum + page.rows.length, 0);
      return shown < last.total && last.rows.length > 0 ? shown : undefined;
    },
    placeholderData: (previous) => previous,
  });
}

/** Asks now and then whether anyone has recorded anything, and renews what is shown when so. */
export function usePulse(): void {
  const client = useQueryClient();
  const pulse = useQuery({
    queryKey: ['pulse'],
    queryFn: () => read<{ seq: number; writing: string[] }>('/api/pulse'),
    refetchInterval: 2500,
    staleTime: 0,
  });
  const seen = pulse.data && JSON.stringify(pulse.data);
  useEffect(() => {
    if (seen === undefined) return;
    for (const key of ['ledger', 'work', 'splice', 'fiber', 'bench', 'traces', 'proof', 'closing'])
      void client.invalidateQueries({ queryKey: [key] });
  }, [seen, client]);
}
