import type { Paper } from '@cordel/core';
import { useQuery } from '@tanstack/react-query';
import { v7 as uuid } from 'uuid';
import { answerOf, commands } from '@cordel/client';
import { handoverShared as t } from '@cordel/text/pages/handover/shared';
import { api } from '@/data/api';
import { outbox } from '@/data/client';
import { personNow } from '@/data/session';

const readPackages = (projectId: string) =>
  answerOf(api.GET('/api/projects/{projectId}/packages', { params: { path: { projectId } } }));

/** A package that was asked for. */
export type ShownPackage = Awaited<ReturnType<typeof readPackages>>[number];

const isRunning = ({ state }: ShownPackage) => state === 'making' || state === 'stopping';

/** The packages of a project, live while one is being made. */
export function usePackages(projectId: string) {
  const query = useQuery({
    queryKey: ['packages', projectId],
    queryFn: () => readPackages(projectId),
    refetchInterval: ({ state }) => (state.data?.some(isRunning) ? 700 : false),
  });
  const ask = async (closureId: string | null, paper: Paper) => {
    const signed = { by: personNow(), at: new Date().toISOString() };
    await outbox.add(
      commands.askForPackage,
      { projectId, id: uuid(), closureId, paper, ...signed },
      t('anAsBuiltPackage'),
    );
    await query.refetch();
  };
  const stop = (packageId: string) =>
    outbox.add(commands.stopPackage, { packageId }, t('stopAPackage'));
  return { query, ask, stop };
}
