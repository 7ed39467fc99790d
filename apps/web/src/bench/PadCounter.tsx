import { View } from 'react-native';
import { padsFor } from '@cordel/core';
import { padText } from '@cordel/text/bench';
import { padCounter as t } from '@cordel/text/pages/bench/PadCounter';
import { usePersisted } from '@/data/storage';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';

/** Counts the ribbons on the lower pad that is in this device's ribbonizing tool, and says what the next one takes. */
export function PadCounter() {
  const [kept, keep] = usePersisted('cordel.pads', '0');
  const pressed = Number(kept) || 0;
  return (
    <View role="group" aria-label={t('pads')} style={{ gap: 6 }}>
      <Text>{padText(padsFor(pressed))}</Text>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button
          label={t('ribbonPressed')}
          icon="plus"
          onPress={() => keep(String(pressed + 1))}
          style={{ flex: 1 }}
        />
        <Button label={t('newPads')} onPress={() => keep('0')} style={{ flex: 1 }} />
      </View>
    </View>
  );
}
