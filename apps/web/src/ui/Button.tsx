import { type ReactNode, useState } from 'react';
import { Pressable, type PressableProps, type StyleProp, View, type ViewStyle } from 'react-native';
import { Icon } from 'react-native-paper';
import { Text } from './Text';
import { FONTS, TOUCH, useColors } from './theme';

interface ButtonProps extends Omit<PressableProps, 'style' | 'children'> {
  label?: string;
  /** `next` is the one next step; `plain` a usual choice; `dark` one that is chosen. */
  look?: 'next' | 'plain' | 'dark' | 'bare';
  icon?: string;
  children?: ReactNode;
  style?: StyleProp<ViewStyle>;
  textSize?: number;
}

/** Width of a key that shows its label alone, px. */
const MOST_WIDTH = 560;

/** A key of the interface: square, inked, at least 48 px. */
export function Button({
  label,
  look = 'plain',
  icon,
  children,
  style,
  textSize = 17,
  disabled,
  ...rest
}: ButtonProps) {
  const colors = useColors();
  const [focused, setFocused] = useState(false);
  const fill = { next: colors.accent, plain: colors.leaf, dark: colors.ink, bare: 'transparent' }[
    look
  ];
  const ink = { next: colors.onAccent, plain: colors.ink, dark: colors.leaf, bare: colors.ink }[
    look
  ];
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={disabled}
      onFocus={() => setFocused(true)}
      onBlur={() => setFocused(false)}
      style={({ pressed }) => [
        {
          minHeight: TOUCH,
          minWidth: TOUCH,
          // On a wide screen a word alone needs no key from edge to edge.
          maxWidth: children === undefined ? MOST_WIDTH : undefined,
          // A long name breaks into lines before its key leaves the screen.
          flexShrink: children === undefined ? 1 : undefined,
          paddingHorizontal: 12,
          flexDirection: 'row',
          gap: 8,
          alignItems: 'center',
          justifyContent: 'center',
          backgroundColor: fill,
          borderWidth: look === 'bare' ? 0 : 2,
          borderColor: look === 'next' ? colors.accent : colors.ink,
          opacity: disabled ? 0.45 : pressed ? 0.75 : 1,
          outlineWidth: focused ? 3 : 0,
          outlineColor: colors.accent,
          outlineStyle: 'solid',
          outlineOffset: 2,
        },
        style,
      ]}
      {...rest}
    >
      {icon ? (
        // Beside a label of two lines it keeps its size.
        <View style={{ flexShrink: 0 }}>
          <Icon source={icon} size={22} color={ink} />
        </View>
      ) : null}
      {children ?? (
        <Text
          style={{
            color: ink,
            fontSize: textSize,
            fontFamily: look === 'next' ? FONTS.name : FONTS.semi,
            textAlign: 'center',
            flexShrink: 1,
          }}
        >
          {label}
        </Text>
      )}
    </Pressable>
  );
}
