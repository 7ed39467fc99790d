import { useState } from 'react';
import { Pressable } from 'react-native';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { Text } from '@/ui/Text';
import { FONTS, TOUCH, useColors } from '@/ui/theme';

const SEEN = 'cordel.caution';

/** The caution of the bench in full, once a session: a tap puts it away. It stays under the steps. */
export function CautionRow() {
  const colors = useColors();
  const [isSeen, setSeen] = useState(() => sessionStorage.getItem(SEEN) !== null);
  if (isSeen) return null;
  return (
    <Pressable
      role="button"
      onPress={() => {
        sessionStorage.setItem(SEEN, '1');
        setSeen(true);
      }}
      style={{
        minHeight: TOUCH,
        justifyContent: 'center',
        borderLeftWidth: 6,
        borderColor: colors.accent,
        paddingLeft: 8,
      }}
    >
      <Text kind="small" style={{ lineHeight: 16 }}>
        {t('shardsIntoTheClosedContainerEyes')}{' '}
        <Text kind="small" style={{ fontFamily: FONTS.bold, lineHeight: 16 }}>
          {t('understood')}
        </Text>
      </Text>
    </Pressable>
  );
}
