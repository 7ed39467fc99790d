import { View } from 'react-native';
import { removalShared as t } from '@cordel/text/pages/removal/shared';
import { Button } from '@/ui/Button';
import type { Removable, Removal } from './useRemoval';

interface RemoveKeysProps {
  removal: Removal;
  item: Removable;
  /** Called when it is gone from the list. */
  onGone?(): void;
}

/** The two ways a record goes out of the way: deleted while nothing depends on it, or archived. */
export function RemoveKeys({ removal, item, onGone }: RemoveKeysProps) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
      <Button
        label={t('deleteName', { name: item.name })}
        icon="delete-outline"
        onPress={() => {
          void removal.remove(item);
          onGone?.();
        }}
      />
      <Button
        label={t('archiveName', { name: item.name })}
        icon="archive-outline"
        onPress={() => {
          removal.setArchived(item, true);
          onGone?.();
        }}
      />
    </View>
  );
}
