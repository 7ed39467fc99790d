import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useEffect, useState } from 'react';
import { type ArcStanding, type SplicerContact, splicerContact } from '@cordel/core';
import { stationStrip as t } from '@cordel/text/pages/bench/StationStrip';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { Button } from '@/ui/Button';
import { useColors } from '@/ui/theme';
import type { Setup } from './useSetup';
import type { Station } from './useStation';

const arcWords = (arc: ArcStanding): string =>
  arc.state === 'due'
    ? t('arcDue')
    : arc.state === 'soon'
      ? t('arcInArcsLeft', { arcsLeft: arc.arcsLeft })
      : t('arcArcsLeft', { arcsLeft: arc.arcsLeft });

const chartWords = (trouble: number, charted: boolean): string =>
  trouble > 0
    ? t('chartsTroubleOff', { trouble })
    : charted
      ? t('chartsSteady')
      : t('chartsTooFew');

/** Whether records come, and when the last one did. */
function contactWords(contact: SplicerContact, connected: boolean): string {
  if (!connected) return t('noConnection');
  if (contact.code === 'none') return t('nothingReceived');
  const ago =
    contact.minutes < 60
      ? t('minutesMin', { minutes: contact.minutes })
      : `${Math.floor(contact.minutes / 60)} h`;
  return contact.code === 'live' ? t('liveAgo', { ago }) : t('lastRecordAgo', { ago });
}

/** The moment, renewed twice a minute. */
function useMinute(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 30_000);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** Splicer and arc in a row: how they stand, and the way to them. */
export function StationStrip({
  base,
  setup,
  station,
  arc,
  trouble,
  charted,
}: {
  /** Path of this closure's Bench. */
  base: string;
  setup: Setup;
  station: Station;
  arc: ArcStanding | null;
  /** How many troubles the charts show. */
  trouble: number;
  /** Whether there are figures enough for any chart. */
  charted: boolean;
}) {
  const router = useRouter();
  const go = (path: string) => router.push(`${base}/${path}` as never);
  const { splicer, warnings } = setup;
  const now = useMinute();
  const lastReceived =
    station.records.findLast(({ splicerId }) => splicerId === splicer?.id)?.receivedAt ?? null;
  const splicerWords = !splicer
    ? shared('setUpTheSplicer')
    : warnings.length > 0
      ? t('setupWarningsMisfit', { warnings: warnings.length })
      : t('splicerContact', {
          contact: contactWords(splicerContact(lastReceived, now), station.live),
        });
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}>
      <Chip label={splicerWords} off={warnings.length > 0} onPress={() => go('setup')} />
      {arc ? (
        <Chip label={arcWords(arc)} off={arc.state === 'due'} onPress={() => go('arc')} />
      ) : null}
      {splicer ? (
        <Chip label={chartWords(trouble, charted)} off={trouble > 0} onPress={() => go('charts')} />
      ) : null}
    </View>
  );
}

/** How one thing stands; what wants looking at has a heavy border and a mark, the next step alone is filled. */
function Chip({ label, off, onPress }: { label: string; off: boolean; onPress(): void }) {
  const colors = useColors();
  return (
    <Button
      label={off ? `! ${label}` : label}
      textSize={15}
      onPress={onPress}
      style={{
        flexGrow: 1,
        flexBasis: 0,
        paddingHorizontal: 4,
        ...(off ? { borderColor: colors.accent, borderWidth: 4 } : {}),
      }}
    />
  );
}
