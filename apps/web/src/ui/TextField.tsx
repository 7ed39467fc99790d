import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { Text } from './Text';

/** A field of text on its own, outside a form. */
export function TextField({
  label,
  value,
  hint,
  onChange,
}: {
  label: string;
  value: string;
  hint?: string;
  onChange(text: string): void;
}) {
  return (
    <View style={{ flexGrow: 1, minWidth: 150 }}>
      <TextInput
        mode="outlined"
        label={label}
        aria-label={label}
        value={value}
        onChangeText={onChange}
        outlineStyle={{ borderWidth: 2 }}
      />
      {hint ? (
        <Text kind="small" ink="ink2">
          {hint}
        </Text>
      ) : null}
    </View>
  );
}
