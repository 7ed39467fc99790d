import { type ReactNode } from 'react';
import { Text as NativeText, type TextProps, type TextStyle } from 'react-native';
import { FONTS, type Colors, useColors } from './theme';

type Kind = 'title' | 'name' | 'figure' | 'strong' | 'body' | 'small';

const KINDS: Record<Kind, TextStyle> = {
  title: { fontFamily: FONTS.name, fontSize: 27, lineHeight: 34 },
  name: { fontFamily: FONTS.name, fontSize: 20, lineHeight: 26 },
  figure: { fontFamily: FONTS.name, fontSize: 44, lineHeight: 52 },
  strong: { fontFamily: FONTS.bold, fontSize: 17, lineHeight: 23 },
  body: { fontFamily: FONTS.regular, fontSize: 16, lineHeight: 22 },
  small: { fontFamily: FONTS.regular, fontSize: 14, lineHeight: 19 },
};

interface OwnTextProps extends TextProps {
  kind?: Kind;
  color?: keyof Colors;
  /** Level of a heading; none where the text is no heading. */
  heading?: 1 | 2 | 3;
  children?: ReactNode;
}

/** Text in the theme’s types and colors, with tabular digits. */
export function Text({ kind = 'body', color: ink = 'ink', heading, style, ...rest }: OwnTextProps) {
  const colors = useColors();
  const role = heading ? ({ role: 'heading', 'aria-level': heading } as object) : {};
  return (
    <NativeText
      {...role}
      style={[KINDS[kind], { color: colors[ink], fontVariant: ['tabular-nums'] }, style]}
      {...rest}
    />
  );
}
