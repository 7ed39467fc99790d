import type { ReactNode } from 'react';
import { View } from 'react-native';
import { listEditor as t } from '@cordel/text/pages/ui/ListEditor';
import { Button } from './Button';
import { Text } from './Text';

interface ListEditorProps<Item> {
  /** What one of them is called: `Port`. */
  word: string;
  items: readonly Item[];
  /** A further one, to be filled in. */
  newItem(items: readonly Item[]): Item;
  /** The fields of one; `change` takes what of it is to be otherwise. */
  row(item: Item, change: (part: Partial<Item>) => void, index: number): ReactNode;
  onChange(items: Item[]): void;
  /** So many stay at least. */
  least?: number;
}

/** A list whose rows are filled in, added and removed in place. */
export function ListEditor<Item>({
  word,
  items,
  newItem,
  row,
  onChange,
  least = 1,
}: ListEditorProps<Item>) {
  const change = (index: number) => (part: Partial<Item>) =>
    onChange(items.map((item, at) => (at === index ? { ...item, ...part } : item)));
  return (
    <View style={{ gap: 10 }}>
      {items.map((item, index) => (
        // Rows have no ids: what was typed in one stays with its place.
        <View key={index} style={{ gap: 6 }}>
          <View
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              justifyContent: 'space-between',
              minHeight: 48,
            }}
          >
            <Text kind="strong">{t('wordNumber', { word, number: index + 1 })}</Text>
            {items.length > least ? (
              <Button
                look="bare"
                icon="close"
                label={t('removeWordNumber', { word, number: index + 1 })}
                onPress={() => onChange(items.filter((_, at) => at !== index))}
              >
                <></>
              </Button>
            ) : null}
          </View>
          {row(item, change(index), index)}
        </View>
      ))}
      <Button
        icon="plus"
        label={t('addWord', { word })}
        onPress={() => onChange([...items, newItem(items)])}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  );
}
