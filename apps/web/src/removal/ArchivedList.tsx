import { useState } from 'react';
import { View } from 'react-native';
import { removalShared as t } from '@cordel/text/pages/removal/shared';
import { Leaf } from '@/ui/Leaf';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import type { Removable, Removal } from './useRemoval';

/** Records that are out of the way, each with the way back. Nothing where there is none. */
export function ArchivedList({
  removal,
  items,
}: {
  removal: Removal;
  items: readonly Removable[];
}) {
  const [open, setOpen] = useState(false);
  if (items.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <Press
        label={open ? t('hideTheArchive') : t('archiveItems', { items: items.length })}
        icon="archive-outline"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
      />
      {open
        ? items.map((item) => (
            <Leaf key={item.id} style={{ gap: 8 }}>
              <Txt kind="name">{item.name}</Txt>
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
                <Press
                  label={t('takeOutOfTheArchive', { name: item.name })}
                  onPress={() => removal.setArchived(item, false)}
                />
                <Press
                  label={t('deleteName', { name: item.name })}
                  icon="delete-outline"
                  onPress={() => void removal.remove(item)}
                />
              </View>
            </Leaf>
          ))
        : null}
    </View>
  );
}
