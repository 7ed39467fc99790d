import { queryOptions, useQuery } from '@tanstack/react-query';
import { answerOf } from '@cordel/client';
import { api } from '@/data/api';

/** The plan of a closure as it was applied last. */
export const planQuery = (closureId: string) =>
  queryOptions({
    queryKey: ['plan', closureId],
    queryFn: () =>
      answerOf(api.GET('/api/closures/{closureId}/plan', { params: { path: { closureId } } })),
  });

export const useStoredPlan = (closureId: string) => useQuery(planQuery(closureId));
