import { usePathname } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { updateStrip as t } from '@cordel/text/pages/ui/UpdateStrip';
import { useOutbox } from '@/data/client';
import { keepApp, loadNewer, lookForNewer, whyNotKept } from '@/data/serviceWorker';
import { onNewerBuild, useNewer } from '@/data/updates';
import { Button } from './Button';
import { Text } from './Text';
import { FONTS, useColors } from './theme';

/** Where somebody has fibers in hand: nothing is asked there. */
const IN_HAND = /^\/p\/[^/]+\/bench\/[^/]+/;

const hasText = (): boolean =>
  [...document.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>('input, textarea')].some(
    ({ value }) => value !== '',
  );

/** Says that a newer Cordel is here, and loads it when the person agrees: never in the middle of a splice. */
export function UpdateStrip() {
  const colors = useColors();
  const newer = useNewer();
  const path = usePathname();
  const { writes } = useOutbox();
  const [isSure, setSure] = useState(false);
  useEffect(() => {
    keepApp();
    onNewerBuild(lookForNewer);
  }, []);
  // A page that is not kept has nothing to wait for.
  const isReady = newer === 'here' || (newer === 'on server' && whyNotKept() !== null);
  if (!isReady || IN_HAND.test(path) || writes.some(({ unsafe }) => unsafe)) return null;
  const load = () => (hasText() && !isSure ? setSure(true) : loadNewer());
  return (
    <View
      role="status"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: 12,
        paddingLeft: 14,
        backgroundColor: colors.ink,
      }}
    >
      <Text style={{ color: colors.leaf, flex: 1, fontFamily: FONTS.semi }}>
        {isSure ? t('halfTyped') : t('newerIsHere')}
      </Text>
      <Button label={t('load')} onPress={load} />
    </View>
  );
}
