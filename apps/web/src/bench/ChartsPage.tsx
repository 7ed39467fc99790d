import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { troubleRemedyText, troubleText } from '@cordel/text/bench';
import { chartsPage as t } from '@cordel/text/pages/bench/ChartsPage';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { AtClosure, type Closeup } from './AtClosure';
import { NeedsSplicer } from './NeedsSplicer';
import { ControlChart, wordOf } from './ControlChart';
import { useHealth } from './useHealth';

/** The splicer's health: what its figures say, and what to do. */
export const ChartsPage = () => <AtClosure>{(at) => <Charts {...at} />}</AtClosure>;

const CAUSES = {
  blade: t('blade'),
  arc: t('arc'),
  groove: t('groove'),
  holder: t('holder'),
  dirt: t('dirt'),
  'tray bend': t('tray'),
} as const;

function Charts({ closure, base, station, setup, bench }: Closeup) {
  const router = useRouter();
  const { splicer, kept } = setup;
  const { series, trouble } = useHealth(station, kept.splicerId, kept.cleaverId, bench.splices);
  if (!splicer)
    return (
      <NeedsSplicer
        title={t('charts')}
        closure={closure}
        base={base}
        why={t('chartsAreDrawnFromWhatThe')}
      />
    );
  // What is off comes first; steady places of ribbons fold into one line.
  const places = series.filter(({ key }) => key.startsWith('place '));
  const off = places.filter((one) => wordOf(one) === 'rising');
  const main = series.filter(({ key }) => !key.startsWith('place '));
  return (
    <Page title={t('charts')} above={`${closure} · ${splicer.name}`} back={base}>
      {trouble.length > 0 ? null : series.some(({ chart }) => chart) ? (
        <Notice word={t('steady')} color="green">
          {t('nothingToDoEveryRunningMean')}
        </Notice>
      ) : (
        <Notice word={t('tooEarlyToSay')}>{t('theFirstTwentyFiguresShowWhat')}</Notice>
      )}
      {trouble.map(({ cause, series: key, message }) => (
        <View key={`${cause} ${key}`} style={{ gap: 4 }}>
          <Notice word={CAUSES[cause]} color="accent" live>
            {troubleText(message)}
          </Notice>
          <Text kind="strong">{troubleRemedyText(cause)}</Text>
          {cause === 'arc' || cause === 'blade' ? (
            <Button
              label={cause === 'arc' ? t('checkTheArc') : t('logTheBlade')}
              onPress={() => router.push(`${base}/arc` as never)}
            />
          ) : null}
        </View>
      ))}
      {[...main, ...off].map((one) => (
        <ControlChart key={one.key} series={one} />
      ))}
      {places.length > off.length ? (
        <Text>{t('placesOfTheRibbonSteadyOr', { places: places.length - off.length })}</Text>
      ) : null}
      <Text kind="small" color="ink2">
        {t('dotsSingleFiguresHeavyLineTheir')}
      </Text>
    </Page>
  );
}
