import { type ReactNode } from 'react';
import { Modal, Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { common } from '@cordel/text/pages/common';
import { Button } from './Button';
import { Text } from './Text';
import { useColors } from './theme';
import { useBackCloses } from './useBackCloses';
import { useFocusOnClose } from './useFocusOnClose';

interface SheetProps {
  title: string;
  visible: boolean;
  onClose(): void;
  children: ReactNode;
}

/**
 * A sheet laid over the page, with all the contexts of the page. Esc, Back, the key and a tap beside it close it; the
 * focus stays in it, and goes back to where it was, or to the page where that is gone.
 */
export function Sheet({ visible, ...props }: SheetProps) {
  // Gone at once: a second tap must not meet a key of a sheet that is fading out.
  return visible ? <OpenSheet {...props} /> : null;
}

function OpenSheet({ title, onClose, children }: Omit<SheetProps, 'visible'>) {
  const colors = useColors();
  useBackCloses(onClose);
  useFocusOnClose();
  return (
    <Modal transparent animationType="none" aria-label={title} onRequestClose={onClose}>
      <View style={{ flex: 1, justifyContent: 'center', alignItems: 'center', padding: 12 }}>
        <Pressable
          aria-hidden
          tabIndex={-1}
          onPress={onClose}
          style={[StyleSheet.absoluteFill, { backgroundColor: colors.veil }]}
        />
        <View
          style={{
            backgroundColor: colors.paper,
            borderWidth: 2,
            borderColor: colors.ink,
            padding: 16,
            gap: 12,
            maxHeight: '96%',
            width: '100%',
            maxWidth: 620,
          }}
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
      </View>
    </Modal>
  );
}
