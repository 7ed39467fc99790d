import { usePathname, useRouter } from 'expo-router';
import { type ReactNode, useCallback, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import { Icon } from 'react-native-paper';
import { shell as t } from '@cordel/text/pages/ui/Shell';
import { FailedStrip } from './FailedStrip';
import { HelpSheet } from './HelpSheet';
import { OutboxStrip } from './OutboxStrip';
import { Text } from './Text';
import { useKeys } from './keys';
import { FONTS, useColors } from './theme';
import { useShort, useWide } from './useWide';

export const PLACES = [
  { key: 'route', label: t('route'), icon: 'sign-direction', letter: 'r' },
  { key: 'bench', label: t('bench'), icon: 'ray-start-end', letter: 'b' },
  { key: 'ledger', label: t('ledger'), icon: 'chart-box-outline', letter: 'l' },
  { key: 'kit', label: t('kit'), icon: 'toolbox-outline', letter: 'k' },
];

/** At a closure’s Bench a low screen has no room for the places: they are under More there. */
const isAtBench = (path: string): boolean => /^\/p\/[^/]+\/bench\/[0-9a-f-]{36}$/.test(path);

/** The four places around a page: a bar under the thumb, or a rail on a wide screen. */
export function Shell({
  projectId,
  practiceOnly = false,
  children,
}: {
  projectId: string;
  practiceOnly?: boolean;
  children: ReactNode;
}) {
  const colors = useColors();
  const wide = useWide();
  const short = useShort();
  const router = useRouter();
  const path = usePathname();
  const [help, setHelp] = useState(false);
  const going = useRef(false);
  const go = useCallback(
    (key: string) => router.push(`/p/${projectId}/${key}` as never),
    [router, projectId],
  );
  useKeys(
    useCallback(
      (key) => {
        const place = going.current ? PLACES.find(({ letter }) => letter === key) : undefined;
        going.current = key === 'g';
        if (key === 'Escape') setHelp(false);
        if (key === '?') setHelp(true);
        if (place) go(place.key);
        return place !== undefined || key === '?';
      },
      [go],
    ),
  );
  const nav = (
    <View
      role="navigation"
      aria-label={t('places')}
      style={
        wide
          ? {
              width: 96,
              borderRightWidth: 2,
              borderColor: colors.ink,
              backgroundColor: colors.leaf,
            }
          : {
              flexDirection: 'row',
              borderTopWidth: 2,
              borderColor: colors.ink,
              backgroundColor: colors.leaf,
            }
      }
    >
      {wide ? (
        <Text kind="name" style={{ textAlign: 'center', paddingVertical: 18 }}>
          {t('cordel')}
        </Text>
      ) : null}
      {PLACES.map((place) => {
        const here = path.split('/')[3] === place.key;
        const ink = here ? colors.leaf : colors.ink;
        return (
          <Pressable
            key={place.key}
            role="button"
            aria-label={place.label}
            aria-current={here ? 'page' : undefined}
            onPress={() => go(place.key)}
            style={{
              flex: wide ? undefined : 1,
              height: 62,
              alignItems: 'center',
              justifyContent: 'center',
              gap: 2,
              backgroundColor: here ? colors.ink : colors.leaf,
            }}
          >
            <Icon source={place.icon} size={24} color={ink} />
            <Text style={{ fontFamily: FONTS.semi, fontSize: 14, lineHeight: 18, color: ink }}>
              {place.label}
            </Text>
          </Pressable>
        );
      })}
    </View>
  );
  return (
    <View
      style={{ flex: 1, flexDirection: wide ? 'row' : 'column', backgroundColor: colors.paper }}
    >
      {wide ? nav : null}
      <View style={{ flex: 1 }}>
        {practiceOnly ? <PracticeStrip /> : null}
        <View style={{ flex: 1 }}>{children}</View>
        <FailedStrip />
        <OutboxStrip />
      </View>
      {wide || (short && isAtBench(path)) ? null : nav}
      <HelpSheet visible={help} onClose={() => setHelp(false)} />
    </View>
  );
}

/** What every page of a practice project says. */
function PracticeStrip() {
  const colors = useColors();
  return (
    <View
      role="banner"
      style={{ backgroundColor: colors.ink, paddingHorizontal: 14, paddingVertical: 4 }}
    >
      <Text style={{ color: colors.leaf, fontFamily: FONTS.bold, fontSize: 15, lineHeight: 20 }}>
        {t('practiceOnlyFiguresMayBeSimulated')}
      </Text>
    </View>
  );
}
