import type { Paper } from '@cordel/core';
import { useQuery } from '@tanstack/react-query';
import { v7 as uuid } from 'uuid';
import { read } from '@/data/api';
import { outbox } from '@/data/client';
import { personNow } from '@/data/storage';

/** A package that was asked for. */
export interface ShownPackage {
  id: string;
  closureId: string | null;
  paper: Paper;
  by: string;
  at: string;
  state: 'making' | 'stopping' | 'stopped' | 'failed' | 'done';
  part: string;
  done: number;
  total: number;
  problem: string | null;
  size: number | null;
  digest: string | null;
}

const isRunning = ({ state }: ShownPackage) => state === 'making' || state === 'stopping';

/** The packages of a project, live while one is being made. */
export function usePackages(projectId: string) {
  const query = useQuery({
    queryKey: ['packages', projectId],
    queryFn: () => read<ShownPackage[]>(`/api/projects/${projectId}/packages`),
    refetchInterval: ({ state }) => (state.data?.some(isRunning) ? 700 : false),
  });
  const ask = async (closureId: string | null, paper: Paper) => {
    await outbox.add({
      method: 'POST',
      path: `/api/projects/${projectId}/packages`,
      body: { id: uuid(), closureId, paper, by: personNow(), at: new Date().toISOString() },
      what: 'An as-built package',
    });
    await query.refetch();
  };
  const stop = (id: string) =>
    outbox.add({
      method: 'POST',
      path: `/api/packages/${id}/stop`,
      body: {},
      what: 'Stop a package',
    });
  return { query, ask, stop };
}
