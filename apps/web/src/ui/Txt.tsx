import { type ReactNode } from 'react';
import { Text, type TextProps, type TextStyle } from 'react-native';
import { FONTS, type Inks, useInks } from './theme';

type Kind = 'title' | 'name' | 'figure' | 'strong' | 'body' | 'small';

const KINDS: Record<Kind, TextStyle> = {
  title: { fontFamily: FONTS.name, fontSize: 27, lineHeight: 34 },
  name: { fontFamily: FONTS.name, fontSize: 20, lineHeight: 26 },
  figure: { fontFamily: FONTS.name, fontSize: 44, lineHeight: 52 },
  strong: { fontFamily: FONTS.bold, fontSize: 17, lineHeight: 23 },
  body: { fontFamily: FONTS.regular, fontSize: 16, lineHeight: 22 },
  small: { fontFamily: FONTS.regular, fontSize: 14, lineHeight: 19 },
};

interface TxtProps extends TextProps {
  kind?: Kind;
  ink?: keyof Inks;
  /** Level of a heading; none where the text is no heading. */
  heading?: 1 | 2 | 3;
  children?: ReactNode;
}

/** Text in the theme's types and inks, with tabular digits. */
export function Txt({ kind = 'body', ink = 'ink', heading, style, ...rest }: TxtProps) {
  const inks = useInks();
  const role = heading ? ({ role: 'heading', 'aria-level': heading } as object) : {};
  return (
    <Text
      {...role}
      style={[KINDS[kind], { color: inks[ink], fontVariant: ['tabular-nums'] }, style]}
      {...rest}
    />
  );
}
