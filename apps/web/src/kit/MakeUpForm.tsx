import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { type CableKind } from '@cordel/core';
import { makeUpText } from '@cordel/text/fiber';
import { makeUpForm as t } from '@cordel/text/pages/kit/MakeUpForm';
import { common } from '@cordel/text/pages/common';
import { Choice } from '@/ui/Field';
import { Text } from '@/ui/Text';
import { type TypedMakeUp, readMakeUp } from './typedMakeUp';

const KINDS: {
  value: CableKind;
  label: string;
  first: string;
  second: string | null;
  third?: string;
}[] = [
  { value: 'loose-tube', label: t('looseTube'), first: t('tubes'), second: t('fibersATube') },
  {
    value: 'grouped-tube',
    label: t('tubesWithGroups'),
    first: t('tubes'),
    second: t('groupsOf12ATube'),
  },
  {
    value: 'ribbon',
    label: common('ribbon'),
    first: t('ribbons'),
    second: t('fibersARibbon'),
    third: t('ribbonsATube'),
  },
  { value: 'drop', label: t('drop'), first: common('fibers'), second: null },
];

/** Chooses how a cable is made up. */
export function MakeUpForm({
  value,
  onChange,
}: {
  value: TypedMakeUp;
  onChange(value: TypedMakeUp): void;
}) {
  const kind = KINDS.find((entry) => entry.value === value.kind)!;
  const read = readMakeUp(value);
  return (
    <View style={{ gap: 10 }}>
      <Choice
        label={t('makeUp')}
        value={value.kind}
        options={KINDS}
        onChange={(next) =>
          onChange({
            ...value,
            kind: next,
            second: next === 'grouped-tube' ? '2' : '12',
            third: '',
            rollable: false,
          })
        }
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <TextInput
          mode="outlined"
          style={{ flex: 1, minWidth: 140 }}
          label={kind.first}
          aria-label={kind.first}
          inputMode="numeric"
          value={value.first}
          onChangeText={(first) => onChange({ ...value, first })}
        />
        {kind.second ? (
          <TextInput
            mode="outlined"
            style={{ flex: 1, minWidth: 140 }}
            label={kind.second}
            aria-label={kind.second}
            inputMode="numeric"
            value={value.second}
            onChangeText={(second) => onChange({ ...value, second })}
          />
        ) : null}
        {kind.third ? (
          <TextInput
            mode="outlined"
            style={{ flex: 1, minWidth: 140 }}
            label={kind.third}
            aria-label={kind.third}
            inputMode="numeric"
            value={value.third ?? ''}
            onChangeText={(third) => onChange({ ...value, third })}
          />
        ) : null}
      </View>
      {kind.third ? <Text kind="small">{t('ribbonsInOneTube')}</Text> : null}
      {value.kind === 'ribbon' ? (
        <Choice<'flat' | 'rollable'>
          label={t('ribbonsAre')}
          value={value.rollable ? 'rollable' : 'flat'}
          options={[
            { value: 'flat', label: t('flat') },
            { value: 'rollable', label: t('rollable') },
          ]}
          onChange={(next) => onChange({ ...value, rollable: next === 'rollable' })}
        />
      ) : null}
      <Text color={'error' in read ? 'accent' : 'ink2'}>
        {'error' in read ? read.error : makeUpText(read.makeUp)}
      </Text>
    </View>
  );
}
