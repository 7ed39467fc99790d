import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { answerOf } from '@cordel/client';
import type { paths } from '@cordel/client/paths';
import { formatLoss, takeBack } from '@cordel/core';
import { conflictsPage as t } from '@cordel/text/pages/conflicts/ConflictsPage';
import { newStamp, recordEvidence } from '@/bench/record';
import { api } from '@/data/api';
import { readWork } from '@/data/queries';
import { useMay, useSession } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Text } from '@/ui/Text';

type Conflict =
  paths['/api/projects/{projectId}/conflicts']['get']['responses'][200]['content']['application/json'][number];

/** What two people did at the same time, and the way to decide it. */
export function ConflictsPage() {
  const { project } = useProjectView();
  const session = useSession();
  const { data, error } = useQuery({
    queryKey: ['conflicts', project.id],
    queryFn: () =>
      answerOf(
        api.GET('/api/projects/{projectId}/conflicts', {
          params: { path: { projectId: project.id } },
        }),
      ),
  });
  return (
    <Page title={t('title')} above={project.name} back={`/p/${project.id}/kit`}>
      <Text>{t('explained')}</Text>
      {session?.accounts ? null : <Notice>{t('openServer')}</Notice>}
      {data ? null : <Waiting error={error} />}
      {data?.length === 0 ? <Text>{t('none')}</Text> : null}
      {data?.map((conflict) => (
        <ConflictCard key={conflict.sides[0].entryId + conflict.sides[1].entryId} {...conflict} />
      ))}
    </Page>
  );
}

const SAYS = { attempt: 'spliceBoth', point: 'pointBoth' } as const;

function ConflictCard(conflict: Conflict) {
  const { kind, closureId, what, sides } = conflict;
  const { project, closures } = useProjectView();
  const { moment } = useClock();
  const mayDecide = useMay(project.id, 'decide');
  const router = useRouter();
  const closure = closures.find(({ id }) => id === closureId)?.name ?? '';
  const lossOf = (side: Conflict['sides'][0]) =>
    side.estimateMdb === null ? t('noLoss') : `${formatLoss(side.estimateMdb)} dB`;
  const title = {
    attempt: t('splice', { closure, splice: what ?? '' }),
    point: t('point', { closure }),
    sign: t('sign', { closure }),
  };
  return (
    <Card style={{ gap: 10 }}>
      <Text kind="name" heading={2}>
        {title[kind]}
      </Text>
      <Text>{kind === 'sign' ? t('signBoth', { role: what ?? '' }) : t(SAYS[kind])}</Text>
      {sides.map((side) => (
        <Text key={side.entryId}>
          {kind === 'attempt'
            ? t('sideAttempt', { by: side.by, moment: moment(side.at), loss: lossOf(side) })
            : kind === 'point'
              ? t('sidePoint', {
                  by: side.by,
                  moment: moment(side.at),
                  verdict: side.verdict ?? 'waived',
                })
              : t('sideSign', { by: side.by, moment: moment(side.at) })}
        </Text>
      ))}
      {kind === 'attempt' && !mayDecide ? <Text color="ink2">{t('leadDecides')}</Text> : null}
      {kind === 'attempt' && mayDecide ? <Deciding conflict={conflict} /> : null}
      {kind === 'point' ? (
        <Button
          label={t('toList')}
          onPress={() => router.push(`/p/${project.id}/route/${closureId}/close` as never)}
        />
      ) : null}
    </Card>
  );
}

/** Takes the other attempt back: it stays in the record, with who did so and why. */
function Deciding({ conflict: { closureId, sides } }: { conflict: Conflict }) {
  const client = useQueryClient();
  const decide = async (kept: Conflict['sides'][0], other: Conflict['sides'][0]) => {
    const { evidence } = await readWork(closureId);
    const entry = evidence.find(({ id }) => id === other.entryId);
    if (entry?.type !== 'attempt') return;
    const why = t('kept', { by: kept.by });
    recordEvidence([takeBack(newStamp(), entry, why)], why);
    await client.invalidateQueries({ queryKey: ['conflicts'] });
  };
  const [one, two] = sides;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
      <Button label={t('keep', { by: one.by })} onPress={() => void decide(one, two)} />
      <Button label={t('keep', { by: two.by })} onPress={() => void decide(two, one)} />
    </View>
  );
}
