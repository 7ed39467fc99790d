import { View } from 'react-native';
import { uiShared as t } from '@cordel/text/pages/ui/shared';
import { Sheet } from './Sheet';
import { Txt } from './Txt';
import { SHORTCUTS } from './keys';

/** All shortcuts of our own on one sheet. */
export function HelpSheet({ visible, onClose }: { visible: boolean; onClose(): void }) {
  return (
    <Sheet title={t('keys')} visible={visible} onClose={onClose}>
      {Object.entries(SHORTCUTS).map(([place, shortcuts]) => (
        <View key={place} style={{ gap: 4 }}>
          <Txt kind="strong" heading={3}>
            {place}
          </Txt>
          {shortcuts.map(({ keys, does }) => (
            <View key={keys} style={{ flexDirection: 'row', gap: 12 }}>
              <Txt kind="strong" style={{ width: 120 }}>
                {keys}
              </Txt>
              <Txt style={{ flex: 1 }}>{does}</Txt>
            </View>
          ))}
        </View>
      ))}
    </Sheet>
  );
}
