import { View } from 'react-native';
import {
  type ReceivedRecord,
  countedEstimate,
  formatLoss,
  recordDoubts,
  worstCleave,
} from '@cordel/core';
import { recordDoubtText, splicerErrorText } from '@cordel/text/bench';
import { recordPart as t } from '@cordel/text/pages/bench/RecordPart';
import { common } from '@cordel/text/pages/common';
import { useState } from 'react';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import type { Bench } from './useBench';
import type { Asked } from './useRecords';
import { setAside } from './useStation';

/** What the splicer stopped for, and what to do. */
export function StopNotice({ record, onDone }: { record: ReceivedRecord; onDone(): void }) {
  const errors = record.fibers.flatMap(({ error, position }) =>
    error
      ? [
          `${record.fibers.length > 1 ? t('fiberPosition', { position }) : ''}${splicerErrorText(error)}`,
        ]
      : [],
  );
  return (
    <View style={{ gap: 6 }}>
      <Notice word={t('itStoppedBeforeTheArc')} color="accent" live>
        {t('splicerSNumber', { number: record.number })}
        {errors.join(' ') || t('itSaysNoReasonLoadAgain')}
      </Notice>
      <Button label={t('clearLoadAgain')} onPress={onDone} />
    </View>
  );
}

const HEARD = 4;

/** The newest records in a line, so that everything the splicer result stands somewhere. */
export function HeardLine({ records }: { records: readonly ReceivedRecord[] }) {
  if (records.length === 0) return null;
  const words = records.slice(-HEARD).map(({ number, fused, fibers }) => {
    const estimates = fibers.flatMap((fiber) => countedEstimate(fiber) ?? []);
    const result = !fused
      ? 'stopped'
      : estimates.length === 0
        ? t('noEstimate')
        : `${formatLoss(Math.max(...estimates))} dB`;
    return t('numberResult', { number, result });
  });
  return <Text kind="small">{t('received', { records: words.join(' · ') })}</Text>;
}

/** The record in hand in a line: number, cleaves, offset, tension, and what of it is doubted. */
export function RecordLine({ record }: { record: ReceivedRecord }) {
  const cleaves = record.fibers.flatMap((fiber) => worstCleave(fiber) ?? []);
  const offsets = record.fibers.flatMap(({ offset }) => offset ?? []);
  const parts = [
    t('splicerSNumberOrigin', {
      number: record.number,
      origin: record.origin === 'simulated' ? ', simulated' : '',
    }),
    cleaves.length > 0 ? t('cleaveDegrees', { degrees: Math.max(...cleaves).toFixed(1) }) : '',
    offsets.length > 0 ? t('offsetUm', { offsetUm: Math.max(...offsets).toFixed(1) }) : '',
    record.tension === null ? '' : t('tension', { tension: record.tension }),
  ].filter(Boolean);
  const doubts = recordDoubts(record, record.receivedAt);
  return (
    <View style={{ gap: 6 }}>
      <Text kind="small">{parts.join(' · ')}</Text>
      {record.tension === 'failed' ? (
        <Notice word={t('tensionTestFailed')} color="accent" live>
          {splicerErrorText('tension')}
        </Notice>
      ) : null}
      {doubts
        .map((doubt) => recordDoubtText(doubt))
        .map((text) => (
          <Notice key={text} word={common('check')} color="accent">
            {text}
          </Notice>
        ))}
    </View>
  );
}

const REASONS = [t('aTrialOnScrapFiber'), t('anotherCrewsSplice'), t('theSameArcSentTwice')];

/** A record that fits none, or fits twice: a person says what it is. */
export function AskedNotice({
  asked,
  count,
  bench,
  projectId,
  name,
  onDone,
}: {
  asked: Asked;
  count: number;
  bench: Bench;
  projectId: string;
  name: string;
  /** A person has said what it is. */
  onDone(): void;
}) {
  const { record, why } = asked;
  const dispatch: Bench['dispatch'] = (event) => {
    bench.dispatch(event);
    onDone();
  };
  const [open, setOpen] = useState(false);
  const { sleeve, state } = bench;
  const fits = sleeve !== null && record.fibers.length <= sleeve.splices.length;
  const again = state.recordId !== null && state.recordId !== record.id;
  return (
    <View style={{ gap: 6 }}>
      <Notice word={t('whichSpliceIsNumber', { number: record.number })} color="accent" live>
        {`${why}${count > 1 ? t('countMoreWait', { count: count - 1 }) : ''}`}
      </Notice>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {fits && again ? (
          <Button
            label={t('resplicedKeepBothAttempts')}
            look="next"
            onPress={() => dispatch({ type: 'saveAndTake', record })}
          />
        ) : null}
        {fits && !again ? (
          <Button
            label={t('itIsName', { name })}
            onPress={() => dispatch({ type: 'take', record, sleeve: sleeve.key })}
          />
        ) : null}
        {bench.last ? (
          <Button
            label={t('aRedoOf', { splice: bench.last.words })}
            onPress={() => dispatch({ type: 'take', record, sleeve: bench.last!.sleeve })}
          />
        ) : null}
        <Button label={t('itIsNoneOfThese')} onPress={() => setOpen(true)} />
      </View>
      <Sheet
        title={t('numberBelongsToNoSpliceHere', { number: record.number })}
        visible={open}
        onClose={() => setOpen(false)}
      >
        <Text>{t('itIsKeptAsItCame')}</Text>
        {REASONS.map((reason) => (
          <Button
            key={reason}
            label={reason}
            onPress={() => {
              setAside(projectId, record.id, reason);
              setOpen(false);
              onDone();
            }}
          />
        ))}
      </Sheet>
    </View>
  );
}
