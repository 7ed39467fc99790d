import { useState } from 'react';
import { View } from 'react-native';
import { type PressureRound, formatGauge } from '@cordel/core/close';
import { roundReasonText } from '@cordel/text/close';
import { roundRecord as t } from '@cordel/text/pages/closing/RoundRecord';
import { common } from '@cordel/text/pages/common';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Card } from '@/ui/Card';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { GaugeChart } from './GaugeChart';
import { BEFORE, estimateWords } from './roundWords';
import type { Closing, ClosingHook } from './useClosing';

const HEADS = {
  'under way': t('notDecided'),
  passed: 'passed',
  failed: 'failed',
  over: t('overTheLimit'),
};

/** A round that is over, as it was; where it bubbled, what was repaired. */
export function RoundRecord({
  pressed,
  number,
  closing,
  write,
}: {
  pressed: PressureRound;
  number: number;
  closing: Closing;
  write: ClosingHook['write'];
}) {
  const { round, state, release, repairs, bubbles, origin } = pressed;
  const { moment } = useClock();
  // While pressure is on the gauge's own unit is read; the record is in the project's.
  const unit = useProjectView().project.units.pressure;
  const [what, setWhat] = useState('');
  const place = bubbles[0] ?? common('closure');
  const latest = closing.state.rounds.at(-1) === pressed;
  return (
    <Card style={{ gap: 8 }}>
      <Text kind="name" heading={2}>
        {t('testNumberHeadsOrigin', {
          number,
          heads: HEADS[state],
          origin: origin === 'simulated' ? t('readingsSimulated') : '',
        })}
      </Text>
      <Text color="ink2">
        {t('momentByTargetLimit', {
          moment: moment(round.at),
          by: round.by,
          target: formatGauge(round.targetPa, unit),
          limit: formatGauge(round.limitPa, unit, 'down'),
        })}
      </Text>
      <Text>{roundReasonText(pressed.reason)}</Text>
      <GaugeChart pressed={pressed} unit={unit} />
      {pressed.readings.length > 0 ? (
        <Text>
          {t('estimateReadingsOrigin', {
            estimate: estimateWords(pressed, unit),
            readings: pressed.readings.length,
            origin: origin ?? '',
          })}
        </Text>
      ) : null}
      {release ? (
        <Text color="ink2">
          {t('releasedBeforeBy', { before: BEFORE[release.before], by: release.by })}
        </Text>
      ) : null}
      {repairs.map((repair) => (
        <Text key={repair.id}>
          <Text kind="strong">{t('repairedAtPlace', { place: repair.place })}</Text>
          {repair.what}
        </Text>
      ))}
      {latest && state !== 'passed' ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
          <TextField label={t('whatWasRepairedAt', { place })} value={what} onChange={setWhat} />
          <Button
            label={t('saveWhatWasRepaired')}
            disabled={what.trim() === ''}
            onPress={() => {
              void write(
                [{ kind: 'mend', roundId: round.id, place, what: what.trim() }],
                t('repairedAtPlace2', { place }),
              );
              setWhat('');
            }}
          />
        </View>
      ) : null}
    </Card>
  );
}
