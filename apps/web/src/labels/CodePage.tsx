import { useQuery } from '@tanstack/react-query';
import { Redirect, useLocalSearchParams, useRouter } from 'expo-router';
import { answerOf } from '@cordel/client';
import { labelsShared as t } from '@cordel/text/pages/labels/shared';
import { errorText } from '@cordel/text/record';
import { api } from '@/data/api';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';

/** Where a label's code leads: straight to its closure. */
export function CodePage() {
  const { code } = useLocalSearchParams<{ code: string }>();
  const router = useRouter();
  const found = useQuery({
    queryKey: ['code', code],
    queryFn: () => answerOf(api.GET('/api/codes/{code}', { params: { path: { code } } })),
  });
  const closures = found.data?.closures;
  if (closures?.length === 1)
    return (
      <Redirect href={`/p/${closures[0]!.projectId}/route/${closures[0]!.closureId}` as never} />
    );
  return (
    <Page title={code} back="/projects">
      {closures ? (
        closures.map(({ projectId, project, closureId, name }) => (
          <Button
            key={closureId}
            label={`${name}, ${project}`}
            onPress={() => router.replace(`/p/${projectId}/route/${closureId}` as never)}
          />
        ))
      ) : found.error ? (
        <>
          <Notice word={t('noClosureHere')} color="accent">
            {errorText(found.error)}
          </Notice>
          <Button
            label={t('scanOrTypeACode')}
            look="next"
            onPress={() => router.replace('/scan')}
          />
        </>
      ) : (
        <Waiting error={null} />
      )}
    </Page>
  );
}
