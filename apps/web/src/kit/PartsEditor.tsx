import { View } from 'react-native';
import type { Part } from '@cordel/core';
import { hardwarePage as t } from '@cordel/text/pages/kit/HardwarePage';
import { ListEditor } from '@/ui/ListEditor';
import { NumberField } from '@/ui/NumberField';
import { Select } from '@/ui/Select';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';

const PER: Record<Part['per'], string> = {
  closure: t('a_closure'),
  cable: t('a_cable'),
  tray: t('a_tray'),
};
const FROM: Record<Part['from'], string> = { store: t('from_store'), van: t('from_van') };

const optionsOf = (labels: Record<string, string>) =>
  Object.entries(labels).map(([value, label]) => ({ value, label }));

/** The parts of a closure's kit besides its seals, clips and plugs. */
export function PartsEditor({
  parts,
  onChange,
}: {
  parts: readonly Part[];
  onChange(parts: Part[]): void;
}) {
  return (
    <>
      <Text kind="strong">{t('partsOfItsKit')}</Text>
      <ListEditor<Part>
        word={t('part')}
        items={parts}
        least={0}
        newItem={() => ({ name: '', count: 1, per: 'closure', from: 'store' })}
        onChange={onChange}
        row={(part, change, index) => (
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
            <TextField
              label={t('nameOfPart')}
              name={t('nameOfPartNumber', { number: index + 1 })}
              value={part.name}
              onChange={(name) => change({ name })}
            />
            <NumberField
              label={t('count')}
              name={t('countOfPart', { number: index + 1 })}
              value={part.count}
              onChange={(count) => change({ count })}
            />
            <Select
              label={t('forEach', { number: index + 1 })}
              value={part.per}
              options={optionsOf(PER)}
              onChange={(per) => change({ per: per as Part['per'] })}
            />
            <Select
              label={t('fetchedFrom', { number: index + 1 })}
              value={part.from}
              options={optionsOf(FROM)}
              onChange={(from) => change({ from: from as Part['from'] })}
            />
          </View>
        )}
      />
    </>
  );
}
