import { useQuery } from '@tanstack/react-query';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { parseFiber } from '@cordel/core';
import { answerOf } from '@cordel/client';
import { fiberProblemText } from '@cordel/text/fiber';
import { networkText } from '@cordel/text/plan';
import { circuitsPage as t } from '@cordel/text/pages/plan/CircuitsPage';
import { common } from '@cordel/text/pages/common';
import { planShared as shared } from '@cordel/text/pages/plan/shared';
import { api } from '@/data/api';
import { useProjectView } from '@/projects/context';
import { Empty, Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useWide } from '@/ui/useWide';
import { CablePick } from './CablePick';
import { CircuitCord } from './CircuitCord';

/** Any fiber, followed through every closure to both ends, and what looks wrong among all of them. */
export function CircuitsPage() {
  const { project } = useProjectView();
  const wide = useWide();
  return (
    <Page title={t('circuits')} above={project.name} back={`/p/${project.id}/route`}>
      <View style={{ flexDirection: wide ? 'row' : 'column', gap: 24 }}>
        <View style={{ flex: wide ? 1 : undefined, gap: 14 }}>
          <Follow />
        </View>
        <View style={{ flex: wide ? 1 : undefined, gap: 14 }}>
          <Problems />
        </View>
      </View>
    </Page>
  );
}

function Follow() {
  const { project, cables: own, devices, schemes, planCables } = useProjectView();
  const router = useRouter();
  const { cable, fiber } = useLocalSearchParams<{ cable?: string; fiber?: string }>();
  const cables = [...own, ...devices];
  const chosen = cables.find((entry) => entry.id === cable) ?? cables[0];
  const [typed, setTyped] = useState(fiber ?? '1');
  // A branch that is tapped is followed in place of what was typed.
  const [followed, setFollowed] = useState(fiber);
  if (fiber !== followed) {
    setFollowed(fiber);
    setTyped(fiber ?? '1');
  }
  const scheme = schemes.find((entry) => entry.id === chosen?.schemeId);
  if (!chosen || !scheme)
    return <Empty title={t('noCablesYet')}>{t('importASpliceListOrAdd')}</Empty>;
  const parsed = parseFiber(typed, chosen.makeUp, scheme);
  const go = (id: string) => router.setParams({ cable: id, fiber: typed });
  return (
    <>
      <CablePick
        label={common('cable')}
        value={chosen.name}
        cables={planCables()}
        onChange={(name) => go(cables.find((entry) => entry.name === name)!.id)}
      />
      <TextInput
        mode="outlined"
        label={common('fiber')}
        aria-label={common('fiber')}
        value={typed}
        onChangeText={setTyped}
        onBlur={() => go(chosen.id)}
        outlineStyle={{ borderWidth: 2 }}
      />
      {parsed.ok ? (
        <Circuit projectId={project.id} cableId={chosen.id} fiber={parsed.value} />
      ) : (
        <Notice word={common('check')} color="accent" live>
          {fiberProblemText(parsed.error)}
        </Notice>
      )}
    </>
  );
}

function Circuit({
  projectId,
  cableId,
  fiber,
}: {
  projectId: string;
  cableId: string;
  fiber: number;
}) {
  const circuit = useQuery({
    queryKey: ['circuit', projectId, cableId, fiber],
    queryFn: () =>
      answerOf(
        api.GET('/api/projects/{projectId}/circuits/{cableId}/{fiber}', {
          params: { path: { projectId, cableId, fiber } },
        }),
      ),
  });
  if (!circuit.data) return <Waiting error={circuit.error} />;
  const { circuits } = circuit.data;
  return (
    <>
      {circuits.length > 1 ? (
        <Notice word={t('cut')} color="accent">
          {t('theFiberIsCut', { circuits: circuits.length })}
        </Notice>
      ) : null}
      {circuits.map(({ circle, legs, splitters }, index) => (
        <View key={index} style={{ gap: 14 }}>
          {circle ? (
            <Notice word={t('aLoop')} color="accent">
              {t('theFiberComesBackToWhere')}
            </Notice>
          ) : null}
          <CircuitCord legs={legs} splitters={splitters} at={{ cableId, fiber }} />
        </View>
      ))}
    </>
  );
}

function Problems() {
  const { project, closures } = useProjectView();
  const router = useRouter();
  const found = useQuery({
    queryKey: ['circuits', project.id],
    queryFn: () =>
      answerOf(
        api.GET('/api/projects/{projectId}/circuits', {
          params: { path: { projectId: project.id } },
        }),
      ),
  });
  if (!found.data) return <Waiting error={found.error} />;
  const { problems } = found.data;
  return (
    <>
      <Text kind="name" heading={2}>
        {problems.length === 0 ? t('allCircuitsRunStraight') : t('whatLooksWrong')}
      </Text>
      <Text color="ink2">{t('shiftsAndFlipsAgainstTheNeighbours')}</Text>
      {problems.slice(0, 100).map((problem) => {
        const closure = closures.find((entry) => entry.id === problem.closure);
        return (
          <View key={`${problem.closure} ${networkText(problem.message)}`} style={{ gap: 6 }}>
            <Notice word={`${closure?.name ?? t('network')}.`} color="accent">
              {networkText(problem.message)}
            </Notice>
            {closure ? (
              <Button
                label={shared('planOfName', { name: closure.name })}
                onPress={() => router.push(`/p/${project.id}/route/${closure.id}/plan` as never)}
              />
            ) : null}
          </View>
        );
      })}
      {problems.length > 100 ? (
        <Text>{t('andProblemsMore', { problems: problems.length - 100 })}</Text>
      ) : null}
    </>
  );
}
