import { useInfiniteQuery } from '@tanstack/react-query';
import { View } from 'react-native';
import { answerOf } from '@cordel/client';
import { accounts as t, auditText } from '@cordel/text/pages/accounts/accounts';
import { api } from '@/data/api';
import { Button } from '@/ui/Button';
import { Waiting } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { momentHere } from './zone';

/** As many as the server tells at a time. */
const PAGE = 200;

const read = (projectId: string | null, before: number | undefined) => {
  const query = before === undefined ? {} : { before };
  return answerOf(
    projectId === null
      ? api.GET('/api/audit', { params: { query } })
      : api.GET('/api/projects/{projectId}/audit', { params: { path: { projectId }, query } }),
  );
};

/** Who did what besides recording, the newest first: of a project, or of the whole server. */
export function Trail({ projectId }: { projectId: string | null }) {
  const { data, error, hasNextPage, fetchNextPage, refetch } = useInfiniteQuery({
    queryKey: ['trail', projectId],
    queryFn: ({ pageParam }) => read(projectId, pageParam),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (page) => (page.length < PAGE ? undefined : page.at(-1)!.seq),
  });
  const rows = data?.pages.flat() ?? [];
  return (
    <View style={{ gap: 8 }}>
      <Text kind="name" heading={2}>
        {t('trail')}
      </Text>
      {data ? null : <Waiting error={error} again={() => void refetch()} />}
      {data && rows.length === 0 ? <Text color="ink2">{t('trailEmpty')}</Text> : null}
      {rows.map((row) => (
        <View key={row.seq} style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 10 }}>
          <Text color="ink2">{momentHere(row.at)}</Text>
          <Text style={{ flexShrink: 1 }}>
            {auditText(row)}
            {projectId === null && row.project ? ` (${row.project})` : ''}
          </Text>
        </View>
      ))}
      {hasNextPage ? <Button label={t('trailMore')} onPress={() => void fetchNextPage()} /> : null}
    </View>
  );
}
