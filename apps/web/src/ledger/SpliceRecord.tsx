import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import {
  type Evidence,
  type Splice,
  formatHalf,
  formatLoss,
  isDevice,
  judgeSplice,
  reasonsFor,
  spliceStage,
  spliceStateOf,
} from '@cordel/core';
import { wayText } from '@cordel/text/bench';
import { spliceStateText } from '@cordel/text/loss/states';
import { spliceReasonText } from '@cordel/text/loss';
import { colourText, makeUpText, unitText } from '@cordel/text/fiber';
import { spliceRecord as t } from '@cordel/text/pages/ledger/SpliceRecord';
import { ledgerShared as shared } from '@cordel/text/pages/ledger/shared';
import { useSplice } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { FiberEye } from '@/ui/FiberEye';
import { Notice, Waiting } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { STAGE_COLORS } from '@/ui/words';
import { useClock } from '@/projects/useClock';
import { EvidenceList } from './EvidenceList';
import { FaceHistoryPart } from './FaceHistoryPart';
import { InspectionForm } from './InspectionForm';
import { ReadingForm } from './ReadingForm';
import { RulingForm } from './RulingForm';
import { usePolish } from './usePolish';
import { useRecordLevel } from './useRecordLevel';

/** One splice: what it joins, its verdict and why, its figures, everything recorded, what can be added. */
export function SpliceRecord({ spliceId }: { spliceId: string }) {
  const detail = useSplice(spliceId);
  if (!detail.data) return <Waiting error={detail.error} />;
  return <Record splice={detail.data.splice} evidence={detail.data.evidence} />;
}

function Record({ splice, evidence }: { splice: Splice; evidence: Evidence[] }) {
  const view = useProjectView();
  const level = useRecordLevel();
  const polish = usePolish(splice);
  const router = useRouter();
  const [adding, setAdding] = useState<'reading' | 'ruling' | 'inspection' | null>(null);
  const { limits } = view.project;
  const { moment } = useClock();
  const spliceState = useMemo(() => spliceStateOf(evidence), [evidence]);
  const judgement = judgeSplice(spliceState, splice, limits);
  const reasons = reasonsFor(spliceState, judgement, splice, limits);
  const stage = spliceStage(judgement);
  const closure = view.closures.find((entry) => entry.id === splice.closureId);
  const missing =
    judgement.missing.length > 0 && stage !== 'accepted' && stage !== 'dead'
      ? t('missingAtNm', { grade: limits.grade, missing: judgement.missing.join(' and ') })
      : '';
  return (
    <View style={{ gap: 14 }}>
      <View>
        <Text color="ink2">
          {t('nameTraySlotMethod', {
            name: closure?.name ?? '',
            tray: splice.tray,
            slot: splice.slot,
            method: splice.end
              ? wayText(splice.end)
              : splice.method === 'mass'
                ? 'ribbon'
                : 'single',
          })}
        </Text>
        <Text kind="name" heading={level.title}>
          {shared('fiberToFiber', {
            fiberA: view.fiberName(splice.cableA, splice.fiberA, splice.legA),
            fiberB: view.fiberName(splice.cableB, splice.fiberB, splice.legB),
          })}
        </Text>
      </View>
      {spliceState.retired ? (
        <Notice word={t('removed')} color="accent">
          {t('whatFollowsIsHowItLay', {
            moment: moment(spliceState.retired.at),
            by: spliceState.retired.by,
            why: spliceState.retired.why.replace(/\.?$/, '.'),
          })}
        </Notice>
      ) : null}
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <EndWords cable={splice.cableA} fiber={splice.fiberA} />
        <EndWords cable={splice.cableB} fiber={splice.fiberB} />
      </View>
      <Notice
        word={`${spliceStateText(stage).replace(/^./, (letter) => letter.toUpperCase())}.`}
        color={spliceState.retired ? 'ink2' : STAGE_COLORS[stage]}
      >
        {[...reasons.map((reason) => spliceReasonText(reason)), missing]
          .filter(Boolean)
          .join(' ') || (stage === 'open' ? t('nothingIsRecordedYet') : t('withinTheLimits'))}
      </Notice>
      <View style={{ gap: 2 }}>
        <Text kind="strong" heading={level.part}>
          {t('whatCounts')}
        </Text>
        {spliceState.figures.length === 0 ? <Text color="ink2">{t('noFigureYet')}</Text> : null}
        {spliceState.figures.map((figure) => (
          <View
            key={`${figure.grade} ${figure.wavelengthNm}`}
            style={{
              flexDirection: 'row',
              justifyContent: 'space-between',
              columnGap: 8,
              flexWrap: 'wrap',
            }}
          >
            <Text>{`${figure.grade}${figure.wavelengthNm ? t('atWavelengthNm', { wavelengthNm: figure.wavelengthNm }) : ''}`}</Text>
            <Text kind="strong">{`${formatHalf(figure.lossHalfMdb)} dB, ${figure.origin}`}</Text>
          </View>
        ))}
        {spliceState.directions.map(({ wavelengthNm, AB, BA }) => (
          <View
            key={wavelengthNm}
            style={{
              flexDirection: 'row',
              justifyContent: 'space-between',
              columnGap: 8,
              flexWrap: 'wrap',
            }}
          >
            <Text color="ink2">{t('nmOneWay', { wavelengthNm })}</Text>
            <Text color="ink2">
              {t('aToBToA', {
                aB: AB === null ? 'missing' : formatLoss(AB),
                bA: BA === null ? 'missing' : formatLoss(BA),
              })}
            </Text>
          </View>
        ))}
      </View>
      {splice.end ? (
        <FaceHistoryPart
          evidence={evidence}
          tryId={spliceState.tries.at(-1)?.tryId ?? null}
          polish={polish}
        />
      ) : null}
      {spliceState.retired ? null : (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {splice.end ? (
            <Button
              label={t('addWhatWasSeen')}
              look={adding === 'inspection' ? 'dark' : 'plain'}
              onPress={() => setAdding(adding === 'inspection' ? null : 'inspection')}
            />
          ) : null}
          <Button
            label={t('addAMeasuredFigure')}
            look={adding === 'reading' ? 'dark' : 'plain'}
            onPress={() => setAdding(adding === 'reading' ? null : 'reading')}
          />
          <Button
            label={spliceState.ruling ? t('takeTheDecisionBack') : t('acceptRedoSkipOrRemove')}
            look={adding === 'ruling' ? 'dark' : 'plain'}
            onPress={() => setAdding(adding === 'ruling' ? null : 'ruling')}
          />
          <Button
            label={t('atTheBench')}
            onPress={() =>
              router.push(
                `/p/${view.project.id}/bench/${splice.closureId}?mode=${judgement.redo ? 'redo' : 'splice'}&splice=${splice.id}` as never,
              )
            }
          />
        </View>
      )}
      {adding === 'inspection' ? (
        <InspectionForm splice={splice} spliceState={spliceState} />
      ) : null}
      {adding === 'reading' ? <ReadingForm splice={splice} spliceState={spliceState} /> : null}
      {adding === 'ruling' ? (
        <RulingForm splice={splice} spliceState={spliceState} onDone={() => setAdding(null)} />
      ) : null}
      <EvidenceList evidence={evidence} />
      <Extra extra={splice.extra} />
    </View>
  );
}

function EndWords({ cable, fiber }: { cable: string; fiber: number }) {
  const view = useProjectView();
  const address = view.address(cable, fiber);
  if (!address) return null;
  return (
    <View style={{ flex: 1, flexDirection: 'row', gap: 8, alignItems: 'center' }}>
      <FiberEye address={address} size={54} />
      <View style={{ flex: 1 }}>
        <Text kind="strong">
          {isDevice(view.cable(cable)!.makeUp)
            ? view.fiberName(cable, fiber)
            : `${view.fiberName(cable, fiber)} ${colourText(address.fiber)}`}
        </Text>
        <Text kind="small" color="ink2">
          {isDevice(view.cable(cable)!.makeUp)
            ? makeUpText(view.cable(cable)!.makeUp)
            : `${[unitText(address), t('position', { position: address.place.position }), address.fiber.letters].filter(Boolean).join(' · ')}`}
        </Text>
      </View>
    </View>
  );
}

function Extra({ extra }: { extra: Record<string, string> }) {
  const level = useRecordLevel();
  const entries = Object.entries(extra);
  if (entries.length === 0) return null;
  return (
    <View>
      <Text kind="strong" heading={level.part}>
        {t('fromTheSpliceList')}
      </Text>
      {entries.map(([title, value]) => (
        <Text key={title}>{`${title}: ${value}`}</Text>
      ))}
    </View>
  );
}
