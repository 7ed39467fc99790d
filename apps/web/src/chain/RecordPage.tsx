import { useQuery } from '@tanstack/react-query';
import { View } from 'react-native';
import { answerOf } from '@cordel/client';
import type { paths } from '@cordel/client/paths';
import { canonicalText, digestOf, shortDigest } from '@cordel/core/close';
import { recordPage as t } from '@cordel/text/pages/chain/RecordPage';
import { api } from '@/data/api';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { QrPicture } from '@/ui/QrPicture';
import { Text } from '@/ui/Text';

type Check =
  paths['/api/projects/{projectId}/chain']['get']['responses'][200]['content']['application/json'];

const bytesOf = (base64: string): Uint8Array =>
  Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));

const problemText = (problem: Check['problems'][number]): string =>
  problem.code === 'entryChanged' || problem.code === 'entryMissing'
    ? t(problem.code, { number: problem.number, kind: problem.kind })
    : t(problem.code, { number: problem.number });

/** Holds the whole record against its chain of hashes, and shows what the server signed. */
export function RecordPage() {
  const { project } = useProjectView();
  const { data, error, isFetching, refetch } = useQuery({
    queryKey: ['chain', project.id],
    queryFn: () =>
      answerOf(
        api.GET('/api/projects/{projectId}/chain', { params: { path: { projectId: project.id } } }),
      ),
    staleTime: Infinity,
  });
  return (
    <Page title={t('title')} above={project.name} back={`/p/${project.id}/kit`}>
      <Text>{t('explained')}</Text>
      {error && !isFetching ? <Waiting error={error} /> : null}
      {isFetching ? <Notice live>{t('checking')}</Notice> : data ? <Found check={data} /> : null}
      <Button label={t('again')} look="next" disabled={isFetching} onPress={() => void refetch()} />
    </Page>
  );
}

function Found({ check }: { check: Check }) {
  const { links, checkpoint, problems, problemCount } = check;
  const { moment } = useClock();
  if (!checkpoint) return <Notice>{t('empty')}</Notice>;
  return (
    <View style={{ gap: 16 }}>
      {problemCount === 0 ? (
        <Notice word={t('whole')} color="green" live>
          {t('wholeSays', { links })}
        </Notice>
      ) : (
        <View style={{ gap: 8 }}>
          <Notice word={t('wrong')} color="accent" live>
            {t('wrongSays', { count: problemCount })}
          </Notice>
          {problems.map((problem) => (
            <Text key={`${problem.code} ${problem.number}`}>{problemText(problem)}</Text>
          ))}
          {problemCount > problems.length ? (
            <Text>{t('more', { count: problemCount - problems.length })}</Text>
          ) : null}
        </View>
      )}
      <Card style={{ gap: 8, alignItems: 'flex-start' }}>
        <Text kind="strong">{t('signed', { moment: moment(checkpoint.at) })}</Text>
        <Text selectable>{t('hash', { hash: shortDigest(checkpoint.hash) })}</Text>
        <Text selectable>
          {t('key', { key: shortDigest(digestOf(bytesOf(checkpoint.publicKey))) })}
        </Text>
        <QrPicture text={canonicalText(checkpoint)} label={t('codeLabel')} size={240} />
        <Text color="ink2">{t('compare')}</Text>
      </Card>
    </View>
  );
}
