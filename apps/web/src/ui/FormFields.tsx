import { type Control, Controller, type FieldPath, type FieldValues } from 'react-hook-form';
import { View } from 'react-native';
import { Choice, Field } from './Field';

/** One field of a form: what it is called, and how it is filled. */
interface FormField<Values extends FieldValues> {
  name: FieldPath<Values>;
  label: string;
  hint?: string;
  /** A unit shown behind the figure. */
  unit?: string;
  numeric?: boolean;
  multiline?: boolean;
  /** One of these is chosen, all in sight, by its stored value. */
  options?: readonly (readonly [value: string, label: string])[];
}

/** Fields that stand beside each other, or one field alone. */
export type FormRow<Values extends FieldValues> = FormField<Values> | FormField<Values>[];

/** The fields of a form by their descriptions, row by row. */
export function FormFields<Values extends FieldValues>({
  control,
  rows,
}: {
  control: Control<Values>;
  rows: readonly FormRow<Values>[];
}) {
  return rows.map((row) =>
    Array.isArray(row) ? (
      <View
        key={row[0]!.name}
        style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 12, rowGap: 12 }}
      >
        {row.map((field) => (
          <OneField key={field.name} control={control} field={field} />
        ))}
      </View>
    ) : (
      <OneField key={row.name} control={control} field={row} />
    ),
  );
}

function OneField<Values extends FieldValues>({
  control,
  field: { options, ...described },
}: {
  control: Control<Values>;
  field: FormField<Values>;
}) {
  if (!options) return <Field control={control} {...described} />;
  return (
    <Controller
      control={control}
      name={described.name}
      render={({ field }) => (
        <Choice<string>
          label={described.label}
          value={field.value as string}
          options={options.map(([value, label]) => ({ value, label }))}
          onChange={field.onChange}
        />
      )}
    />
  );
}
