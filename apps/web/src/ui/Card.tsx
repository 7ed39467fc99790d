import { type ReactNode } from 'react';
import { type StyleProp, View, type ViewStyle } from 'react-native';
import { useColors } from './theme';

/** A sheet of paper with an ink border; `hung` gives it the hard offset of what hangs on the cord. */
export function Card({
  children,
  hung,
  style,
}: {
  children: ReactNode;
  hung?: boolean;
  style?: StyleProp<ViewStyle>;
}) {
  const colors = useColors();
  const sheet = {
    backgroundColor: colors.leaf,
    borderWidth: 2,
    borderColor: colors.ink,
    padding: 12,
  };
  return (
    <View style={[sheet, hung ? { boxShadow: `4px 4px 0 ${colors.ink}` } : null, style]}>
      {children}
    </View>
  );
}
