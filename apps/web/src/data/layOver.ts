import type { QueryClient } from '@tanstack/react-query';

/**
 * Changes what is held of a kind. An answer on its way is from before the change and would take it back for a moment:
 * it is given up, and asked for anew.
 * @param key the first part of the keys of its queries
 */
export function layOver<Answer>(
  queryClient: QueryClient,
  key: string,
  change: (held: Answer) => Answer,
): void {
  const filters = { queryKey: [key] };
  const isOnItsWay = queryClient.isFetching(filters) > 0;
  const givenUp = queryClient.cancelQueries(filters);
  queryClient.setQueriesData<Answer>(filters, (held) => held && change(held));
  if (isOnItsWay) void givenUp.then(() => queryClient.invalidateQueries(filters));
}
