import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { type ArcStanding } from '@cordel/core';
import { Press } from '@/ui/Press';
import type { Setup } from './useSetup';
import type { Station } from './useStation';

const arcWords = (arc: ArcStanding): string =>
  arc.state === 'due'
    ? 'Arc: due'
    : arc.state === 'soon'
      ? `Arc: in ${arc.arcsLeft}`
      : `Arc: ${arc.arcsLeft} left`;

/** Splicer and arc in a row: how they stand, and the way to them. */
export function StationStrip({
  base,
  setup,
  station,
  arc,
  trouble,
}: {
  /** Path of this closure's Bench. */
  base: string;
  setup: Setup;
  station: Station;
  arc: ArcStanding | null;
  /** How many troubles the charts show. */
  trouble: number;
}) {
  const router = useRouter();
  const go = (path: string) => router.push(`${base}/${path}` as never);
  const { splicer, warnings } = setup;
  const splicerWords = !splicer
    ? 'Set up the splicer'
    : warnings.length > 0
      ? `Setup: ${warnings.length} misfit`
      : `Splicer: ${station.live ? 'live' : 'no line'}`;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
      <Press
        label={splicerWords}
        look={warnings.length > 0 ? 'next' : 'plain'}
        textSize={15}
        style={{ flexGrow: 1, paddingHorizontal: 4, flexBasis: 0 }}
        onPress={() => go('setup')}
      />
      {arc ? (
        <Press
          label={arcWords(arc)}
          look={arc.state === 'due' ? 'next' : 'plain'}
          textSize={15}
          style={{ flexGrow: 1, paddingHorizontal: 4, flexBasis: 0 }}
          onPress={() => go('arc')}
        />
      ) : null}
      {splicer ? (
        <Press
          label={trouble > 0 ? `Charts: ${trouble} off` : 'Charts: steady'}
          look={trouble > 0 ? 'next' : 'plain'}
          textSize={15}
          style={{ flexGrow: 1, paddingHorizontal: 4, flexBasis: 0 }}
          onPress={() => go('charts')}
        />
      ) : null}
    </View>
  );
}
