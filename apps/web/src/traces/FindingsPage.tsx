import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { Finding } from '@cordel/core/otdr';
import { commands } from '@cordel/client';
import {
  correctionText,
  findingEvidence,
  findingTitle,
  proofMessageText,
  whereText,
} from '@cordel/text/otdr';
import { tracesShared as shared } from '@cordel/text/pages/traces/shared';
import { common } from '@cordel/text/pages/common';
import { findingsPage as t } from '@cordel/text/pages/traces/FindingsPage';
import { errorText } from '@cordel/text/record';
import { outbox } from '@/data/client';
import { personNow } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { Grid } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { Empty, Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { CauseMark } from './CauseMark';
import { ProofTabs } from './ProofTabs';
import { type ProofAnswer, useProof } from './queries';

/** What the traces prove: what goes into the Ledger, what is bad, why and where, and what is odd. */
export function FindingsPage() {
  const { project } = useProjectView();
  const router = useRouter();
  const proof = useProof(project.id);
  const page = (children: React.ReactNode) => (
    <Page title={shared('findings')} above={project.name} back={`/p/${project.id}/ledger`}>
      <ProofTabs />
      {children}
    </Page>
  );
  if (!proof.data) return page(<Waiting error={proof.error} again={() => void proof.refetch()} />);
  const { data } = proof;
  if (data.traces === 0)
    return page(
      <Empty
        title={t('noTracesYet')}
        action={
          <Button
            label={shared('importTraces')}
            look="next"
            onPress={() => router.push(`/p/${project.id}/ledger/traces` as never)}
          />
        }
      >
        {t('findingsComeFromOtdrTracesOf')}
      </Empty>,
    );
  const bad = data.findings.filter(({ weight }) => weight === 'bad');
  const look = data.findings.filter(({ weight }) => weight === 'look');
  return page(
    <>
      <Text>
        <Text kind="strong">{shared('traces', { traces: data.traces })}</Text>
        {t('ofCircuits', { circuits: data.circuits.length })}
        <Text kind="strong" color={bad.length > 0 ? 'accent' : 'green'}>
          {bad.length > 0 ? t('badToRepair', { bad: bad.length }) : t('nothingToRepair')}
        </Text>
        {data.unplaced > 0 ? t('tracesThatBelongNowhereYet', { traces: data.unplaced }) : ''}
      </Text>
      <LedgerPart answer={data} />
      {bad.length > 0 ? <Findings title={t('toRepair')} list={bad} /> : null}
      {data.corrections.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Text kind="name" heading={2}>
            {t('lengthsThatAreWrittenWrongly')}
          </Text>
          {data.corrections
            .map(({ message }) => correctionText(message, project.units))
            .map((text) => (
              <Notice key={text}>{text}</Notice>
            ))}
        </View>
      ) : null}
      {data.problems.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Text kind="name" heading={2}>
            {t('problemsOfTheTraces')}
          </Text>
          {data.problems.map(({ kind, message }) => (
            <Notice
              key={proofMessageText(message, project.units)}
              word={`${kind[0]!.toUpperCase()}${kind.slice(1)}.`}
            >
              {proofMessageText(message, project.units)}
            </Notice>
          ))}
        </View>
      ) : null}
      {look.length > 0 ? <Findings title={t('goodToKnow')} list={look} /> : null}
      <Text kind="small" color="ink2">
        {t('distancesAreSheathTwoDeviations')}
      </Text>
    </>,
  );
}

/** Figures that wait for the Ledger. */
function LedgerPart({ answer }: { answer: ProofAnswer }) {
  const { project } = useProjectView();
  const client = useQueryClient();
  const [state, setState] = useState('');
  const { fresh, there, held } = answer.ledger;
  const put = async () => {
    setState(t('beingSaved'));
    const outcome = await outbox.add(
      commands.recordTraceReadings,
      { projectId: project.id, by: personNow() || common('traces'), at: new Date().toISOString() },
      t('figuresFromTraces', { fresh }),
    );
    setState('refused' in outcome ? errorText(outcome.refused) : '');
    for (const key of ['proof', 'ledger', 'work'])
      void client.invalidateQueries({ queryKey: [key] });
  };
  return (
    <Card style={{ gap: 8 }}>
      {fresh > 0 ? (
        <>
          <Text>
            {t('figuresOfSplicesOneADirection', {
              figures: fresh,
              fresh: fresh === 1 ? 'waits' : 'wait',
            })}
          </Text>
          <Button
            label={t('saveFiguresInTheLedger', { figures: fresh })}
            look="next"
            disabled={state !== ''}
            onPress={() => void put()}
          />
        </>
      ) : (
        <Notice word={t('inTheLedger')} color="green" live>
          {t('figuresFromTheseTraces', { figures: there })}
        </Notice>
      )}
      {held.map(({ count, why }) => (
        <Text key={why}>{t('figuresHeldBack', { figures: count, why: t(why) })}</Text>
      ))}
      {state ? <Text aria-live="polite">{state}</Text> : null}
    </Card>
  );
}

function Findings({ title, list }: { title: string; list: readonly Finding[] }) {
  const colors = useColors();
  const router = useRouter();
  const { project } = useProjectView();
  return (
    <View style={{ gap: 10 }}>
      <Text kind="name" heading={2}>
        {title}
      </Text>
      <Grid least={460} gap={12}>
        {list.map((finding) => (
          <View
            key={`${findingTitle(finding.message, project.units)} ${whereText(finding.where, project.units)}`}
            style={{
              flexDirection: 'row',
              gap: 12,
              backgroundColor: colors.leaf,
              borderWidth: 2,
              borderColor: colors.ink,
              padding: 12,
            }}
          >
            <CauseMark cause={finding.cause} />
            <View style={{ flex: 1, gap: 4 }}>
              <Text kind="strong" heading={3}>
                {findingTitle(finding.message, project.units)}
              </Text>
              <Text kind="strong">{whereText(finding.where, project.units)}</Text>
              <Text>{findingEvidence(finding.message, project.units)}</Text>
              <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
                <Button
                  label={t('seeCircuits', {
                    circuits: finding.circuits.length > 1 ? t('oneOfThem') : t('theTraces'),
                  })}
                  onPress={() => {
                    const [cable, fiber] = finding.circuits[0]!.split(' ');
                    router.push(
                      `/p/${project.id}/ledger/circuit?cable=${cable}&fiber=${fiber}` as never,
                    );
                  }}
                />
                {finding.closureId ? (
                  <Button
                    label={t('theClosure')}
                    onPress={() =>
                      router.push(`/p/${project.id}/route/${finding.closureId}` as never)
                    }
                  />
                ) : null}
              </View>
            </View>
          </View>
        ))}
      </Grid>
    </View>
  );
}
