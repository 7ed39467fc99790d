import { View } from 'react-native';
import { uiShared as t } from '@cordel/text/pages/ui/shared';
import { Sheet } from './Sheet';
import { Text } from './Text';
import { SHORTCUTS } from './keys';

/** All shortcuts of our own on one sheet. */
export function HelpSheet({ visible, onClose }: { visible: boolean; onClose(): void }) {
  return (
    <Sheet title={t('keys')} visible={visible} onClose={onClose}>
      {Object.entries(SHORTCUTS).map(([place, shortcuts]) => (
        <View key={place} style={{ gap: 4 }}>
          <Text kind="strong" heading={3}>
            {place}
          </Text>
          {shortcuts.map(({ keys, does }) => (
            <View key={keys} style={{ flexDirection: 'row', gap: 12 }}>
              <Text kind="strong" style={{ width: 120 }}>
                {keys}
              </Text>
              <Text style={{ flex: 1 }}>{does}</Text>
            </View>
          ))}
        </View>
      ))}
    </Sheet>
  );
}
