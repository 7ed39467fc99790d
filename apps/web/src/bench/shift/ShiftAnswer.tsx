import { View } from 'react-native';
import { formatLoss } from '@cordel/core';
import { type ShiftOutcome } from '@cordel/core/shift';
import { shiftUnitText } from '@cordel/text/bench';
import { shiftAnswer as t } from '@cordel/text/pages/bench/ShiftAnswer';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { useClock } from '@/projects/useClock';
import { Card } from '@/ui/Card';
import { Text } from '@/ui/Text';
import { TimelinePicture } from './TimelinePicture';
import type { ShiftAnswer } from './shift.worker';

/** When the work is likely done. */
export function Finish({ outcome, start }: { outcome: ShiftOutcome; start: number }) {
  const { clock } = useClock();
  const at = (seconds: number) => clock(start + seconds * 1000);
  return (
    <View>
      <Text kind="figure">{at(outcome.finish.p50)}</Text>
      <Text>
        {t('likelyFinishEightInTenBetween', {
          p10: at(outcome.finish.p10),
          p90: at(outcome.finish.p90),
        })}
      </Text>
    </View>
  );
}

const POOL_WORDS = {
  people: t('handsAreTheBottleneck'),
  places: t('placesAtTheClosureAreThe'),
  splicers: t('theSplicerIsTheBottleneck'),
  heaters: t('theHeaterIsTheBottleneck'),
  ready: t('readyEndsAreTheBottleneck'),
} as const;

/** What a planned shift comes to: finish, window, last moments, bottleneck, gains, both ways, the picture. */
export function Answer({
  answer,
  start,
  window,
}: {
  answer: ShiftAnswer;
  start: number;
  window: number;
}) {
  const { outcome, gains, ways, timeline } = answer;
  const { clock } = useClock();
  const at = (seconds: number) => clock(start + seconds * 1000);
  const share = Math.round(outcome.inWindow * 100);
  return (
    <View style={{ gap: 14 }}>
      <Card hung style={{ gap: 6 }}>
        <Finish outcome={outcome} start={start} />
        <Text kind="strong" color={share >= 80 ? 'green' : share >= 40 ? 'ink' : 'accent'}>
          {t('toFinishWithinTheWindowTo', { share, window: at(window) })}
        </Text>
        {outcome.lastStart.map(({ unit, at: last }) => (
          <Text key={shiftUnitText(unit)}>
            {last > 0
              ? t('lastSafeMomentToBegin', { shiftUnit: shiftUnitText(unit), last: at(last) })
              : t('tooLateToBeginAndBe', { shiftUnit: shiftUnitText(unit) })}
          </Text>
        ))}
      </Card>
      <Card style={{ gap: 6 }}>
        <Text kind="strong">
          {t('takenOfTheTime', {
            pool: POOL_WORDS[outcome.bottleneck],
            percent: Math.round(outcome.used[outcome.bottleneck] * 100),
          })}
        </Text>
        {gains.map(({ what, minutes }) => (
          <Text key={what}>
            {t('oneMoreWhatMinutes', {
              what,
              minutes:
                minutes < 1
                  ? t('gainsNothing')
                  : t('minutesMinSooner', { minutes: Math.round(minutes) }),
            })}
          </Text>
        ))}
      </Card>
      {ways.length > 0 ? <Ways ways={ways} /> : null}
      <TimelinePicture timeline={timeline} start={start} window={window} />
      <Text kind="small" color="ink2">
        {t('fromSimulationRunsHandsVarySplices', { runs: outcome.runs.toLocaleString('en') })}
      </Text>
    </View>
  );
}

const hours = (minutes: number): string =>
  t('hoursMinutes', {
    hours: Math.floor(minutes / 60),
    minutes: String(Math.round(minutes % 60)).padStart(2, '0'),
  });

const lossRange = ({ lossMdb: { least, most } }: ShiftAnswer['ways'][number]): string =>
  least === most
    ? `${formatLoss(least)} dB`
    : t('leastToMostDb', { least: formatLoss(least), most: formatLoss(most) });

/** One by one against ribbonizing, side by side. */
function Ways({ ways }: { ways: ShiftAnswer['ways'] }) {
  const [single, ribbonized] = ways as [ShiftAnswer['ways'][number], ShiftAnswer['ways'][number]];
  const better = ribbonized.finish < single.finish - 5;
  const rows: [string, string, string][] = [
    [t('time'), hours(single.finish), hours(ribbonized.finish)],
    [
      t('withinTheWindow'),
      `${Math.round(single.inWindow * 100)} %`,
      `${Math.round(ribbonized.inWindow * 100)} %`,
    ],
    [
      shared('sleeves'),
      t('sleevesSingle', { sleeves: single.sleeves }),
      t('sleevesRibbon', { sleeves: ribbonized.sleeves }),
    ],
    [shared('adhesive'), '0 ml', `${ribbonized.adhesive} ml`],
    [t('applicatorPads'), '0', String(ribbonized.pads)],
    [t('usualLossAFiber'), lossRange(single), lossRange(ribbonized)],
    [
      t('redone'),
      `${Math.round(single.redo * 100)} %`,
      t('n12AtOnce', { redo: Math.round(ribbonized.redo * 100) }),
    ],
  ];
  return (
    <Card style={{ gap: 4 }}>
      <Text kind="strong">
        {better
          ? t('ribbonizingTheLooseTubesPaysSooner', {
              hours: hours(single.finish - ribbonized.finish),
            })
          : t('ribbonizingTheLooseTubesDoesNot')}
      </Text>
      <View role="table" aria-label={t('oneByOneOrRibbonized')}>
        <Row cells={['', t('oneByOne'), t('ribbonized')]} head />
        {rows.map((cells) => (
          <Row key={cells[0]} cells={cells} />
        ))}
      </View>
      <Text kind="small" color="ink2">
        {t('aFlippedRibbonPutsTwelveCircuits')}
      </Text>
    </Card>
  );
}

function Row({ cells, head }: { cells: readonly [string, string, string]; head?: boolean }) {
  return (
    <View role="row" style={{ flexDirection: 'row', gap: 8, paddingVertical: 4 }}>
      {cells.map((cell, index) => (
        <View
          key={index}
          role={head ? 'columnheader' : index === 0 ? 'rowheader' : 'cell'}
          style={{ flex: index === 0 ? 1.2 : 1 }}
        >
          <Text kind={head || index > 0 ? 'strong' : 'body'}>{cell}</Text>
        </View>
      ))}
    </View>
  );
}
