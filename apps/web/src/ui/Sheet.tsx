import { type ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { Modal, Portal } from 'react-native-paper';
import { common } from '@cordel/text/pages/common';
import { Button } from './Button';
import { Text } from './Text';
import { useColors } from './theme';

interface SheetProps {
  title: string;
  visible: boolean;
  onClose(): void;
  children: ReactNode;
}

/** A sheet laid over the page. */
export function Sheet({ title, visible, onClose, children }: SheetProps) {
  const colors = useColors();
  // Gone at once: a second tap must not meet a key of a sheet that is fading out.
  if (!visible) return null;
  return (
    <Portal>
      <Modal
        visible
        onDismiss={onClose}
        contentContainerStyle={{
          backgroundColor: colors.paper,
          borderWidth: 2,
          borderColor: colors.ink,
          margin: 12,
          padding: 16,
          maxHeight: '92%',
          width: '94%',
          maxWidth: 620,
          alignSelf: 'center',
        }}
      >
        <View
          role="dialog"
          aria-label={title}
          style={{ gap: 12, maxHeight: '100%', flexShrink: 1 }}
        >
          <View
            style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}
          >
            <Text kind="name" heading={2} style={{ flex: 1 }}>
              {title}
            </Text>
            <Button label={common('close')} look="bare" icon="close" onPress={onClose}>
              <></>
            </Button>
          </View>
          <ScrollView tabIndex={0} contentContainerStyle={{ gap: 12 }}>
            {children}
          </ScrollView>
        </View>
      </Modal>
    </Portal>
  );
}
