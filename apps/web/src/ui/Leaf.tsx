import { type ReactNode } from 'react';
import { type StyleProp, View, type ViewStyle } from 'react-native';
import { useInks } from './theme';

/** A sheet of paper with an ink border; `hung` gives it the hard offset of what hangs on the cord. */
export function Leaf({
  children,
  hung,
  style,
}: {
  children: ReactNode;
  hung?: boolean;
  style?: StyleProp<ViewStyle>;
}) {
  const inks = useInks();
  const sheet = { backgroundColor: inks.leaf, borderWidth: 2, borderColor: inks.ink, padding: 12 };
  return (
    <View style={[sheet, hung ? { boxShadow: `4px 4px 0 ${inks.ink}` } : null, style]}>
      {children}
    </View>
  );
}
