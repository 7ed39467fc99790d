import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { type MakeUp } from '@cordel/core';
import { makeUpText } from '@cordel/text/fiber';
import { Choice } from '@/ui/Field';
import { Txt } from '@/ui/Txt';
import { type TypedMakeUp, readMakeUp } from './typedMakeUp';

const KINDS: { value: MakeUp['kind']; label: string; first: string; second: string | null }[] = [
  { value: 'loose-tube', label: 'Loose tube', first: 'Tubes', second: 'Fibers a tube' },
  {
    value: 'grouped-tube',
    label: 'Tubes with groups',
    first: 'Tubes',
    second: 'Groups of 12 a tube',
  },
  { value: 'ribbon', label: 'Ribbon', first: 'Ribbons of 12', second: null },
  { value: 'drop', label: 'Drop', first: 'Fibers', second: null },
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
        label="Make-up"
        value={value.kind}
        options={KINDS}
        onChange={(next) =>
          onChange({ ...value, kind: next, second: next === 'grouped-tube' ? '2' : '12' })
        }
      />
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <TextInput
          mode="outlined"
          style={{ flex: 1 }}
          label={kind.first}
          aria-label={kind.first}
          inputMode="numeric"
          value={value.first}
          onChangeText={(first) => onChange({ ...value, first })}
        />
        {kind.second ? (
          <TextInput
            mode="outlined"
            style={{ flex: 1 }}
            label={kind.second}
            aria-label={kind.second}
            inputMode="numeric"
            value={value.second}
            onChangeText={(second) => onChange({ ...value, second })}
          />
        ) : null}
      </View>
      <Txt ink={'error' in read ? 'accent' : 'ink2'}>
        {'error' in read ? read.error : makeUpText(read.makeUp)}
      </Txt>
    </View>
  );
}
