import { View } from 'react-native';
import { Text } from '@/ui/Text';
import { type Colors, useColors } from '@/ui/theme';

/** A row of a table of traces: cells with their shares of the width. */
export function TableRow({
  cells,
  shares,
  strong,
  color = 'ink',
}: {
  cells: readonly string[];
  shares: readonly number[];
  strong?: boolean;
  color?: keyof Colors;
}) {
  const colors = useColors();
  return (
    <View
      style={{
        flexDirection: 'row',
        gap: 8,
        borderBottomWidth: 1,
        borderColor: colors.rule,
        paddingVertical: 4,
      }}
    >
      {cells.map((cell, index) => (
        <Text
          key={index}
          kind={strong ? 'strong' : 'body'}
          color={color}
          style={{ flex: shares[index] ?? 1 }}
        >
          {cell}
        </Text>
      ))}
    </View>
  );
}
