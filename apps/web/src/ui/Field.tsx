import { type Control, Controller, type FieldPath, type FieldValues } from 'react-hook-form';
import { View } from 'react-native';
import { Button } from './Button';
import { Text } from './Text';
import { TextField } from './TextField';

interface FieldProps<Values extends FieldValues> {
  control: Control<Values>;
  name: FieldPath<Values>;
  label: string;
  hint?: string;
  multiline?: boolean;
  /** A unit shown behind the figure. */
  unit?: string;
  numeric?: boolean;
  onEnter?(): void;
  autoFocus?: boolean;
}

/** A text field of a form, with its error at its place. */
export function Field<Values extends FieldValues>({
  control,
  name,
  label,
  hint,
  multiline,
  unit,
  numeric,
  onEnter,
  autoFocus,
}: FieldProps<Values>) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field, fieldState }) => (
        <TextField
          label={label}
          value={String(field.value ?? '')}
          hint={hint}
          problem={fieldState.error?.message}
          isWrong={fieldState.invalid}
          unit={unit}
          numeric={numeric}
          multiline={multiline}
          minWidth={120}
          onChange={field.onChange}
          onLeave={field.onBlur}
          onEnter={onEnter}
          autoFocus={autoFocus}
        />
      )}
    />
  );
}

interface ChoiceProps<Value extends string> {
  label: string;
  value: Value;
  options: readonly { value: Value; label: string }[];
  onChange(value: Value): void;
}

/** A choice of one among a few, all in sight. */
export function Choice<Value extends string>({
  label,
  value,
  options,
  onChange,
}: ChoiceProps<Value>) {
  return (
    <View role="radiogroup" aria-label={label} style={{ gap: 6, maxWidth: '100%' }}>
      <Text color="ink2">{label}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {options.map((option) => (
          <Button
            key={option.value}
            role="radio"
            aria-checked={option.value === value}
            label={option.label}
            look={option.value === value ? 'dark' : 'plain'}
            onPress={() => onChange(option.value)}
          />
        ))}
      </View>
    </View>
  );
}
