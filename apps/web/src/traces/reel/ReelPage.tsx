import { useLocalSearchParams, useRouter } from 'expo-router';
import { View } from 'react-native';
import { formatDistance, formatPlace } from '@cordel/core';
import { reelProblemText } from '@cordel/text/otdr';
import { reelPage as t } from '@cordel/text/pages/traces/ReelPage';
import { CableSelect } from '@/projects/CableSelect';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Empty, Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Text } from '@/ui/Text';
import { useReel } from '../queries';
import { ReelChart, type ReelShot } from './ReelChart';

/** A cable on its reel, before it is placed: each fiber's length, attenuation and evenness, accepted or not. */
export function ReelPage() {
  const { project, cables, cable } = useProjectView();
  const router = useRouter();
  const params = useLocalSearchParams<{ cable?: string }>();
  const cableId = params.cable ?? cables[0]?.id ?? '';
  const reel = useReel(project.id, cableId);
  const run = cable(cableId)?.run;
  const shots = reel.data?.shots ?? [];
  const traces = () => router.push(`/p/${project.id}/ledger/traces` as never);
  return (
    <Page title={t('reels')} above={project.name} back={`/p/${project.id}/ledger/traces`}>
      <CableSelect value={cableId} onChange={(id) => router.setParams({ cable: id })} />
      <Card style={{ gap: 8 }}>
        {run?.reel ? (
          <Text>
            <Text kind="strong">{t('reelOf', { number: run.reel.number })}</Text>
            {', '}
            {run.reel.length === null
              ? t('noLength')
              : t('lengthOnSheath', {
                  length: formatDistance(run.reel.length, project.units.distance),
                })}
          </Text>
        ) : (
          <Text>{t('noReelNoted')}</Text>
        )}
        <Button
          label={t('noteTheReel')}
          onPress={() => router.push(`/p/${project.id}/kit/cables?open=${cableId}` as never)}
        />
      </Card>
      {reel.data ? (
        shots.length > 0 ? (
          <Shots shots={shots} fibers={reel.data.fibers} />
        ) : (
          <Empty
            title={t('notShotYet', { name: cable(cableId)?.name ?? '' })}
            action={<Button label={t('importShots')} look="next" onPress={traces} />}
          >
            {t('shootBefore')}
          </Empty>
        )
      ) : (
        <Waiting error={reel.error} again={() => void reel.refetch()} />
      )}
    </Page>
  );
}

function Shots({ shots, fibers }: { shots: readonly ReelShot[]; fibers: number }) {
  const { project } = useProjectView();
  const unit = project.units.distance;
  const wavelengths = [...new Set(shots.map(({ wavelengthNm }) => wavelengthNm))].sort(
    (a, b) => a - b,
  );
  const byFiber = new Map<number, ReelShot[]>();
  for (const shot of shots) byFiber.set(shot.fiber, [...(byFiber.get(shot.fiber) ?? []), shot]);
  const all = [...byFiber.values()];
  const isOne = (verdict: ReelShot['verdict']) => (own: readonly ReelShot[]) =>
    own.some((shot) => shot.verdict === verdict);
  const rejected = all.filter(isOne('rejected')).length;
  const accepted = all.filter((own) => own.every(({ verdict }) => verdict === 'accepted')).length;
  const odd = shots.filter(({ verdict }) => verdict !== 'accepted');
  return (
    <View style={{ gap: 14 }}>
      <Text>
        <Text kind="strong">{t('acceptedOf', { accepted, fibers })}</Text>
        {', '}
        <Text kind="strong" color={rejected > 0 ? 'accent' : 'ink'}>
          {t('rejectedFibers', { rejected })}
        </Text>
        {'.'}
      </Text>
      {wavelengths.map((nm) => (
        <ReelChart
          key={nm}
          nm={nm}
          fibers={fibers}
          shots={shots.filter(({ wavelengthNm }) => wavelengthNm === nm)}
        />
      ))}
      <Text kind="name" heading={2}>
        {odd.length > 0 ? t('allFibers') : t('noneToLookAt')}
      </Text>
      {odd.map((shot) => (
        <Notice
          key={shot.traceId}
          word={`${t('fiberAtNm', {
            fiber: shot.fiber,
            wavelengthNm: shot.wavelengthNm,
            length: shot.lengthM === null ? t('lengthUnknown') : formatPlace(shot.lengthM, unit),
            attenuation: shot.attenuation
              ? t('attenuationIs', {
                  loss: shot.attenuation.lossDb.toFixed(3),
                  error: Math.max(0.001, 2 * shot.attenuation.sigmaDb).toFixed(3),
                })
              : t('attenuationUnknown'),
          })}${t('verdict', { verdict: shot.verdict })}.`}
          color={shot.verdict === 'rejected' ? 'accent' : 'ink'}
        >
          {shot.problems.map((problem) => reelProblemText(problem, project.units)).join(' ')}
        </Notice>
      ))}
    </View>
  );
}
