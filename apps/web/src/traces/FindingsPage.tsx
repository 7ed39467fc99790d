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
import { personNow } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { Grid } from '@/ui/Grid';
import { Leaf } from '@/ui/Leaf';
import { Empty, Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { useInks } from '@/ui/theme';
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
  if (!proof.data)
    return page(
      <Waiting
        error={proof.error}
        retry={
          <Press label={common('tryAgain')} look="next" onPress={() => void proof.refetch()} />
        }
      />,
    );
  const { data } = proof;
  if (data.traces === 0)
    return page(
      <Empty
        title={t('noTracesYet')}
        action={
          <Press
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
      <Txt>
        <Txt kind="strong">{shared('traces', { traces: data.traces })}</Txt>
        {t('ofCircuits', { circuits: data.circuits.length })}
        <Txt kind="strong" ink={bad.length > 0 ? 'accent' : 'green'}>
          {bad.length > 0 ? t('badToRepair', { bad: bad.length }) : t('nothingToRepair')}
        </Txt>
        {data.unplaced > 0 ? t('tracesThatBelongNowhereYet', { traces: data.unplaced }) : ''}
      </Txt>
      <LedgerPart answer={data} />
      {bad.length > 0 ? <Findings title={t('toRepair')} list={bad} /> : null}
      {data.corrections.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Txt kind="name" heading={2}>
            {t('lengthsThatAreWrittenWrongly')}
          </Txt>
          {data.corrections
            .map(({ message }) => correctionText(message, project.units))
            .map((text) => (
              <Notice key={text}>{text}</Notice>
            ))}
        </View>
      ) : null}
      {data.problems.length > 0 ? (
        <View style={{ gap: 8 }}>
          <Txt kind="name" heading={2}>
            {t('problemsOfTheTraces')}
          </Txt>
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
      <Txt kind="small" ink="ink2">
        {t('distancesAreSheathTwoDeviations')}
      </Txt>
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
    <Leaf style={{ gap: 8 }}>
      {fresh > 0 ? (
        <>
          <Txt>
            {t('figuresOfSplicesOneADirection', {
              figures: fresh,
              fresh: fresh === 1 ? 'waits' : 'wait',
            })}
          </Txt>
          <Press
            label={t('saveFiguresInTheLedger', { figures: fresh })}
            look="next"
            disabled={state !== ''}
            onPress={() => void put()}
          />
        </>
      ) : (
        <Notice word={t('inTheLedger')} ink="green" live>
          {t('figuresFromTheseTraces', { figures: there })}
        </Notice>
      )}
      {held.map(({ count, why }) => (
        <Txt key={why}>{t('figuresHeldBack', { figures: count, why: t(why) })}</Txt>
      ))}
      {state ? <Txt aria-live="polite">{state}</Txt> : null}
    </Leaf>
  );
}

function Findings({ title, list }: { title: string; list: readonly Finding[] }) {
  const inks = useInks();
  const router = useRouter();
  const { project } = useProjectView();
  return (
    <View style={{ gap: 10 }}>
      <Txt kind="name" heading={2}>
        {title}
      </Txt>
      <Grid least={460} gap={12}>
        {list.map((finding) => (
          <View
            key={`${findingTitle(finding.message, project.units)} ${whereText(finding.where, project.units)}`}
            style={{
              flexDirection: 'row',
              gap: 12,
              backgroundColor: inks.leaf,
              borderWidth: 2,
              borderColor: inks.ink,
              padding: 12,
            }}
          >
            <CauseMark cause={finding.cause} />
            <View style={{ flex: 1, gap: 4 }}>
              <Txt kind="strong" heading={3}>
                {findingTitle(finding.message, project.units)}
              </Txt>
              <Txt kind="strong">{whereText(finding.where, project.units)}</Txt>
              <Txt>{findingEvidence(finding.message, project.units)}</Txt>
              <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
                <Press
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
                  <Press
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
