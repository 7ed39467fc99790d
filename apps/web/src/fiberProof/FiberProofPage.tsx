import { useLocalSearchParams, useRouter } from 'expo-router';
import { View } from 'react-native';
import { formatPlace, linkStates } from '@cordel/core';
import {
  budgetRowText,
  fiberProofWords as t,
  fiberReasonText,
  fiberVerdictText,
  linkInstrumentsText,
  linkRowText,
} from '@cordel/text/fiberProof';
import { linkCauseText } from '@cordel/text/links';
import { findingTitle, whereText } from '@cordel/text/otdr';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { type FiberProofAnswer, useCircuit, useFiberProof } from '@/traces/queries';
import { TableRow } from '@/traces/view/TableRow';
import { Button } from '@/ui/Button';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Text } from '@/ui/Text';
import { type Colors, useColors } from '@/ui/theme';
import { BothTraces } from './BothTraces';

type Proof = FiberProofAnswer;
type Loss = Proof['totals'][number]['mean'];

const INKS: Record<Proof['verdict'], keyof Colors> = {
  proven: 'green',
  'not proven': 'ink',
  fails: 'accent',
};

/** The proof of one fiber on one page: both directions, splices, budget, link, verdict, and how sure each figure is. */
export function FiberProofPage() {
  const { project } = useProjectView();
  const router = useRouter();
  const params = useLocalSearchParams<{ cable?: string; fiber?: string }>();
  const [cableId, fiber] = [params.cable ?? '', Number(params.fiber ?? 0)];
  const query = useFiberProof(project.id, cableId, fiber);
  const circuit = useCircuit(project.id, cableId, fiber).data;
  const proof = query.data;
  const view = `/p/${project.id}/ledger/circuit?cable=${cableId}&fiber=${fiber}`;
  return (
    <Page
      title={proof ? t('proofOfFiber', { label: proof.label }) : t('seeTheProof')}
      above={project.name}
      back={view}
    >
      {proof ? (
        <>
          <Text>
            {t('fromTo', {
              from: proof.from,
              to: proof.to,
              length: formatPlace(proof.lengthM, project.units.distance),
            })}
          </Text>
          <Notice word={`${fiberVerdictText(proof.verdict)}.`} color={INKS[proof.verdict]}>
            {proof.reasons.map((reason) => fiberReasonText(reason)).join(' ')}
          </Notice>
          {circuit && circuit.traces.length > 0 ? <BothTraces circuit={circuit} /> : null}
          <SpliceTable proof={proof} />
          <BudgetPart proof={proof} />
          <LinkPart proof={proof} />
          {proof.findings.map((finding) => (
            <Notice
              key={`${finding.cause} ${findingTitle(finding.message, project.units)}`}
              word={`${findingTitle(finding.message, project.units)}.`}
              color={finding.weight === 'bad' ? 'accent' : 'ink'}
            >
              {whereText(finding.where, project.units)}
            </Notice>
          ))}
          <Text kind="small" color="ink2">
            {t('whatItMayBeOff')}
          </Text>
          <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
            <Button
              label={t('print')}
              icon="printer-outline"
              look="next"
              onPress={() =>
                window.open(
                  `/api/projects/${project.id}/cables/${cableId}/fibers/${fiber}/proof.pdf`,
                  '_blank',
                )
              }
            />
            <Button label={t('traceView')} onPress={() => router.push(view as never)} />
            <Button
              label={t('linkTest')}
              onPress={() => router.push(`/p/${project.id}/ledger/links?cable=${cableId}` as never)}
            />
          </View>
        </>
      ) : (
        <Waiting error={query.error} again={() => void query.refetch()} />
      )}
    </Page>
  );
}

const figure = (loss: Loss): string => (loss ? loss.lossDb.toFixed(3) : '–');
const meanOf = (loss: Loss): string =>
  loss
    ? t('meanSigma', {
        loss: loss.lossDb.toFixed(3),
        sigma: Math.max(0.001, 2 * loss.sigmaDb).toFixed(3),
      })
    : t('oneWay');

const SHARES = [1.5, 0.6, 0.8, 0.8, 1.3];

function SpliceTable({ proof }: { proof: Proof }) {
  const colors = useColors();
  const placeOf = ({ name, tray, port }: Proof['splices'][number]) =>
    port !== null
      ? t('endAtPort', { name, port })
      : tray === null
        ? name
        : t('traySlot', { name, tray });
  return (
    <View style={{ gap: 4 }}>
      <Text kind="name" heading={2}>
        {t('spliceTable')}
      </Text>
      <View style={{ borderTopWidth: 2, borderColor: colors.ink }}>
        <TableRow
          strong
          shares={SHARES}
          cells={[
            t('place'),
            t('wavelength'),
            t('fromPlace', { name: proof.from }),
            t('fromPlace', { name: proof.to }),
            t('mean'),
          ]}
        />
        {proof.splices.flatMap((splice, index) => {
          const place = `${placeOf(splice)}: ${t('verdictOfSplice', { verdict: splice.verdict })}`;
          const color = splice.verdict === 'fail' || splice.verdict === 'dead' ? 'accent' : 'ink';
          if (splice.figures.length === 0)
            return [
              <TableRow
                key={index}
                shares={SHARES}
                color={color}
                cells={[place, '', '–', '–', t('notTraced')]}
              />,
            ];
          return splice.figures.map(({ wavelengthNm, forward, backward, mean }, row) => (
            <TableRow
              key={`${index} ${wavelengthNm}`}
              shares={SHARES}
              color={color}
              cells={[
                row === 0 ? place : '',
                String(wavelengthNm),
                figure(forward),
                figure(backward),
                meanOf(mean),
              ]}
            />
          ));
        })}
        {proof.totals.map(({ wavelengthNm, AB, BA, mean }, row) => (
          <TableRow
            key={wavelengthNm}
            shares={SHARES}
            strong
            cells={[
              row === 0 ? t('endToEnd') : '',
              String(wavelengthNm),
              figure(AB),
              figure(BA),
              meanOf(mean),
            ]}
          />
        ))}
      </View>
    </View>
  );
}

function BudgetPart({ proof: { budget } }: { proof: Proof }) {
  return (
    <View style={{ gap: 4 }}>
      <Text kind="name" heading={2}>
        {t('budget')}
      </Text>
      {budget && budget.budgets.length > 0 ? (
        budget.budgets.map((own) => (
          <Text key={own.wavelengthNm} color={own.marginMdb < 0 ? 'accent' : 'ink'}>
            {budgetRowText(own)}
          </Text>
        ))
      ) : (
        <Text>{t('noBudget')}</Text>
      )}
    </View>
  );
}

function LinkPart({ proof: { link, entries } }: { proof: Proof }) {
  const { moment } = useClock();
  const { losses = [], continuity = null } = linkStates(entries, () => '').get('') ?? {};
  return (
    <View style={{ gap: 4 }}>
      <Text kind="name" heading={2}>
        {t('link')}
      </Text>
      {link.judgements.length === 0 ? <Text>{t('noLink')}</Text> : null}
      {link.judgements.map((judged) => {
        const { wavelengthNm, verdict } = judged;
        const loss = losses.find((one) => one.wavelengthNm === wavelengthNm);
        const reference = (loss?.AB ?? loss?.BA)?.reference;
        return (
          <View key={wavelengthNm}>
            <Text color={verdict === 'fail' ? 'accent' : 'ink'}>{linkRowText(judged)}</Text>
            {reference ? (
              <Text kind="small" color="ink2">
                {linkInstrumentsText(reference, moment(reference.at))}
              </Text>
            ) : null}
          </View>
        );
      })}
      {link.causes.map((cause) => (
        <Text key={cause.code} color="accent">
          {linkCauseText(cause)}
        </Text>
      ))}
      <Text>
        {continuity
          ? t('continuity', {
              seen: continuity.seen,
              fiber: continuity.seenFiber ?? 0,
              by: continuity.by,
              moment: moment(continuity.at),
            })
          : t('notChecked')}
      </Text>
    </View>
  );
}
