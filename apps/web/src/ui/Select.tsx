import { FONTS, useColors } from './theme';

interface SelectProps {
  label: string;
  value: string;
  options: readonly { value: string; label: string }[];
  onChange(value: string): void;
  /** Marked as what is still to be chosen. */
  wanting?: boolean;
}

/** A choice of one among many. */
export function Select({ label, value, options, onChange, wanting }: SelectProps) {
  const colors = useColors();
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      style={{
        minHeight: 48,
        minWidth: 110,
        fontSize: 16,
        fontFamily: FONTS.regular,
        background: colors.leaf,
        color: colors.ink,
        border: `2px solid ${wanting ? colors.accent : colors.ink}`,
        padding: '0 8px',
      }}
    >
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.label}
        </option>
      ))}
    </select>
  );
}
