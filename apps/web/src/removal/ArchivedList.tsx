import { useState } from 'react';
import { View } from 'react-native';
import { removalShared as t } from '@cordel/text/pages/removal/shared';
import { Card } from '@/ui/Card';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
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
      <Button
        label={open ? t('hideTheArchive') : t('archiveItems', { items: items.length })}
        icon="archive-outline"
        aria-expanded={open}
        onPress={() => setOpen(!open)}
      />
      {open
        ? items.map((item) => (
            <Card key={item.id} style={{ gap: 8 }}>
              <Text kind="name">{item.name}</Text>
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
                <Button
                  label={t('takeOutOfTheArchive', { name: item.name })}
                  onPress={() => removal.setArchived(item, false)}
                />
                <Button
                  label={t('deleteName', { name: item.name })}
                  icon="delete-outline"
                  onPress={() => void removal.remove(item)}
                />
              </View>
            </Card>
          ))
        : null}
    </View>
  );
}
