import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { plural } from '@cordel/core';
import { troubleRemedyText, troubleText } from '@cordel/text/bench';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { AtClosure, type Closeup } from './AtClosure';
import { NeedsSplicer } from './NeedsSplicer';
import { ControlChart, wordOf } from './ControlChart';
import { useHealth } from './useHealth';

/** The splicer's health: what its figures say, and what to do. */
export const ChartsPage = () => <AtClosure>{(at) => <Charts {...at} />}</AtClosure>;

const CAUSES = {
  blade: 'Blade.',
  arc: 'Arc.',
  groove: 'Groove.',
  holder: 'Holder.',
  dirt: 'Dirt.',
  'tray bend': 'Tray.',
} as const;

function Charts({ closure, base, station, setup, bench }: Closeup) {
  const router = useRouter();
  const { splicer, kept } = setup;
  const { series, trouble } = useHealth(station, kept.splicerId, kept.cleaverId, bench.splices);
  if (!splicer)
    return (
      <NeedsSplicer
        title="Charts"
        closure={closure}
        base={base}
        why="Charts are drawn from what the splicer records."
      />
    );
  // What is off comes first; steady places of ribbons fold into one line.
  const places = series.filter(({ key }) => key.startsWith('place '));
  const off = places.filter((one) => wordOf(one) === 'rising');
  const main = series.filter(({ key }) => !key.startsWith('place '));
  return (
    <Page title="Charts" above={`${closure} · ${splicer.name}`} back={base}>
      {trouble.length > 0 ? null : series.some(({ chart }) => chart) ? (
        <Notice word="Steady." ink="green">
          Nothing to do: every running mean lies in its band.
        </Notice>
      ) : (
        <Notice word="Too early to say.">
          The first twenty figures show what is usual for this splicer; then its charts begin.
        </Notice>
      )}
      {trouble.map(({ cause, series: key, message }) => (
        <View key={`${cause} ${key}`} style={{ gap: 4 }}>
          <Notice word={CAUSES[cause]} ink="accent" live>
            {troubleText(message)}
          </Notice>
          <Txt kind="strong">{troubleRemedyText(cause)}</Txt>
          {cause === 'arc' || cause === 'blade' ? (
            <Press
              label={cause === 'arc' ? 'Check the arc' : 'Log the blade'}
              onPress={() => router.push(`${base}/arc` as never)}
            />
          ) : null}
        </View>
      ))}
      {[...main, ...off].map((one) => (
        <ControlChart key={one.key} series={one} />
      ))}
      {places.length > off.length ? (
        <Txt>{`${plural(places.length - off.length, 'place')} of the ribbon steady or with too few figures yet.`}</Txt>
      ) : null}
      <Txt kind="small" ink="ink2">
        Dots: single figures. Heavy line: their running mean. Shaded band: where it wanders while
        all is well; it leaves it by chance about once in 500 figures. Dashed line: a single figure
        above it is marked with a triangle.
      </Txt>
    </Page>
  );
}
