import { View } from 'react-native';
import { HelperText, TextInput } from 'react-native-paper';

interface TextFieldProps {
  label: string;
  /** What it is called where its row or heading is not seen; the label where it is left out. */
  name?: string;
  value: string;
  hint?: string | undefined;
  /** What is wrong with it, in the place of the hint. */
  problem?: string | undefined;
  /** Marks it as wrong where the problem is told elsewhere. */
  isWrong?: boolean;
  /** Shown behind the figure. */
  unit?: string | undefined;
  numeric?: boolean | undefined;
  multiline?: boolean | undefined;
  /** Not shown as it is typed. */
  secret?: boolean | undefined;
  /** What it is, for a browser that keeps such things. */
  kind?: 'email' | 'name' | 'current-password' | 'new-password' | undefined;
  /** In a row of fields of the same width: how narrow it may be, in px. */
  minWidth?: number;
  onChange(text: string): void;
  /** It is left, or Enter is pressed in it. */
  onLeave?(): void;
  /** Enter alone. */
  onEnter?(): void;
  autoFocus?: boolean;
}

/** The width at which a label is read whole in an empty field, up to what the narrowest screen has, px. */
const widthFor = (label: string, unit: string | undefined): number =>
  Math.min(300, label.length * 7 + (unit ? 72 : 40));

/** A field of text with its label, hint and problem. */
export function TextField({
  label,
  name = label,
  value,
  hint,
  problem,
  isWrong = Boolean(problem),
  unit,
  numeric,
  multiline,
  secret,
  kind,
  minWidth,
  onChange,
  onLeave,
  onEnter,
  autoFocus,
}: TextFieldProps) {
  const least = Math.max(minWidth ?? 150, widthFor(label, unit));
  return (
    <View
      style={{
        ...(minWidth === undefined ? { flexGrow: 1 } : { flex: 1 }),
        minWidth: least,
        maxWidth: '100%',
      }}
    >
      <TextInput
        mode="outlined"
        label={label}
        aria-label={name}
        value={value}
        error={isWrong}
        multiline={multiline}
        secureTextEntry={secret}
        autoComplete={kind}
        autoCapitalize={kind && kind !== 'name' ? 'none' : undefined}
        inputMode={kind === 'email' ? 'email' : numeric ? 'decimal' : undefined}
        right={unit ? <TextInput.Affix text={unit} /> : undefined}
        onChangeText={onChange}
        onBlur={onLeave}
        autoFocus={autoFocus}
        onSubmitEditing={onEnter ?? onLeave}
        outlineStyle={{ borderWidth: 2 }}
      />
      {problem || hint ? (
        <HelperText
          type={problem ? 'error' : 'info'}
          visible
          padding="none"
          style={{ fontSize: 14 }}
        >
          {problem || hint}
        </HelperText>
      ) : null}
    </View>
  );
}
