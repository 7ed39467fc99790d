import { View } from 'react-native';
import { columnSelect as t } from '@cordel/text/pages/ui/ColumnSelect';
import { Text } from './Text';
import { FONTS, useColors } from './theme';

interface ColumnSelectProps {
  title: string;
  /** Titles of the file. */
  header: readonly string[];
  /** Its first rows. */
  sample: readonly (readonly string[])[];
  /** The column that was matched, from 0; null for none. */
  index: number | null;
  isOptional: boolean;
  onChange(index: number | null): void;
}

/** A column's title; where others have the same, with what stands on either side. */
export function columnName(header: readonly string[], at: number): string {
  const title = header[at] || t('columnAt', { at: at + 1 });
  if (header.filter((other) => other === header[at]).length < 2) return title;
  const [before, after] = [header[at - 1], header[at + 1]];
  if (before && after) return t('titleBetween', { title, at: at + 1, before, after });
  if (before) return t('titleAfter', { title, at: at + 1, before });
  return t('titleBefore', { title, at: at + 1, after: after ?? '' });
}

/** Which column of a file holds what, with what stands in it. */
export function ColumnSelect(props: ColumnSelectProps) {
  const { title, header, sample, index, isOptional, onChange } = props;
  const colors = useColors();
  const isMissing = index === null && !isOptional;
  const cells = index === null ? '' : sample.map((row) => row[index]).join(', ');
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10, flexWrap: 'wrap' }}>
      <Text kind="strong" style={{ width: 84 }}>
        {title}
      </Text>
      <select
        aria-label={t('columnFor', { title })}
        value={index ?? ''}
        onChange={({ target }) => onChange(target.value === '' ? null : Number(target.value))}
        style={{
          minHeight: 48,
          minWidth: 150,
          fontSize: 16,
          fontFamily: FONTS.regular,
          background: colors.leaf,
          color: colors.ink,
          border: `2px solid ${isMissing ? colors.accent : colors.ink}`,
          padding: '0 8px',
        }}
      >
        <option value="">{isOptional ? t('none') : t('choose')}</option>
        {header.map((_, at) => (
          <option key={at} value={at}>
            {columnName(header, at)}
          </option>
        ))}
      </select>
      <Text color="ink2" numberOfLines={1} style={{ flexShrink: 1 }}>
        {isMissing ? t('notMatchedYet') : cells}
      </Text>
    </View>
  );
}
