import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { answerOf } from '@cordel/client';
import type { paths } from '@cordel/client/paths';
import { formatLoss, takeBack } from '@cordel/core';
import { errorText, shownSpan } from '@cordel/text/record';
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
      <Clocks />
    </Page>
  );
}

const whenOf = (from: string, to: string): string =>
  from === to ? from : t('fromTo', { from, to });

/** What devices with a wrong clock recorded. */
function Clocks() {
  const { project } = useProjectView();
  const { moment } = useClock();
  const { data } = useQuery({
    queryKey: ['clocks', project.id],
    queryFn: () =>
      answerOf(
        api.GET('/api/projects/{projectId}/clock-corrections', {
          params: { path: { projectId: project.id } },
        }),
      ),
  });
  if (!data || data.length === 0) return null;
  return (
    <>
      <Text kind="name" heading={2}>
        {t('clocks')}
      </Text>
      <Text>{t('clocksSay')}</Text>
      {data.map(({ by, offS, entries, from, to }) => (
        <Text key={`${by} ${from}`}>
          {t(offS > 0 ? 'clockSlow' : 'clockFast', {
            by,
            entries,
            when: whenOf(moment(from), moment(to)),
            off: shownSpan({ spanMs: Math.abs(offS) * 1000 }),
          })}
        </Text>
      ))}
    </>
  );
}

const SAYS = { attempt: 'spliceBoth', point: 'pointBoth', plan: 'planBoth' } as const;

function ConflictCard(conflict: Conflict) {
  const { kind, closureId, what, sides } = conflict;
  const { project, closures } = useProjectView();
  const { moment } = useClock();
  const mayDecide = useMay(project.id, 'decide');
  const router = useRouter();
  const closure = closures.find(({ id }) => id === closureId)?.name ?? '';
  const lossOf = (side: Conflict['sides'][0]) =>
    side.estimateMdb === null ? t('noLoss') : `${formatLoss(side.estimateMdb)} dB`;
  const sideText = (index: number): string => {
    const { by, at, verdict, estimateMdb } = sides[index]!;
    const side = { by, moment: moment(at) };
    if (kind === 'attempt') return t('sideAttempt', { ...side, loss: lossOf(sides[index]!) });
    if (kind === 'point') return t('sidePoint', { ...side, verdict: verdict ?? 'waived' });
    if (kind === 'sign') return t('sideSign', side);
    if (index === 0) return t('sidePlan', { ...side, by: by || 'none' });
    return estimateMdb === null
      ? t('sideEntry', side)
      : t('sideMade', { ...side, loss: lossOf(sides[index]!) });
  };
  const title = {
    attempt: t('splice', { closure, splice: what ?? '' }),
    point: t('point', { closure }),
    sign: t('sign', { closure }),
    plan: t('plan', { closure, splice: what ?? '' }),
  };
  return (
    <Card style={{ gap: 10 }}>
      <Text kind="name" heading={2}>
        {title[kind]}
      </Text>
      <Text>{kind === 'sign' ? t('signBoth', { role: what ?? '' }) : t(SAYS[kind])}</Text>
      {sides.map((side, index) => (
        <Text key={side.entryId}>{sideText(index)}</Text>
      ))}
      {(kind === 'attempt' || kind === 'plan') && !mayDecide ? (
        <Text color="ink2">{t('leadDecides')}</Text>
      ) : null}
      {kind === 'plan' && mayDecide ? <DecidingOfPlan conflict={conflict} /> : null}
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

/** Puts a splice back that the plan had dropped, or has it removed: what was recorded of it stays either way. */
function DecidingOfPlan({ conflict: { spliceId } }: { conflict: Conflict }) {
  const { project } = useProjectView();
  const client = useQueryClient();
  const [problem, setProblem] = useState<string | null>(null);
  const decide = async (keeps: 'splice' | 'plan') => {
    setProblem(null);
    const why = t(keeps === 'splice' ? 'keptSplice' : 'keptPlan');
    try {
      await answerOf(
        api.POST('/api/projects/{projectId}/dropped-splices/{spliceId}/decision', {
          params: { path: { projectId: project.id, spliceId: spliceId! } },
          body: { ...newStamp(), keeps, why },
        }),
      );
      await client.invalidateQueries();
    } catch (error) {
      setProblem(errorText(error as Error));
    }
  };
  return (
    <View style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button label={t('keepSplice')} onPress={() => void decide('splice')} />
        <Button label={t('keepPlan')} onPress={() => void decide('plan')} />
      </View>
      {problem ? (
        <Notice color="accent" live>
          {problem}
        </Notice>
      ) : null}
    </View>
  );
}
