import { createContext, useContext } from 'react';
import { MD3DarkTheme, MD3LightTheme, type MD3Theme, configureFonts } from 'react-native-paper';

/** The inks of a theme. Every colour on a screen is one of these. */
export interface Inks {
  paper: string;
  leaf: string;
  ink: string;
  /** Second ink, for what is read second. */
  ink2: string;
  rule: string;
  /** The one strong colour: the next step, and what is over the limit. */
  accent: string;
  /** Ink on the accent. */
  onAccent: string;
  /** What is proven. */
  green: string;
  wood: string;
}

const LIGHT: Inks = {
  paper: '#F6F0E2',
  leaf: '#FFFCF4',
  ink: '#1C1914',
  ink2: '#5A5246',
  rule: '#CDC2AC',
  accent: '#9C2C15',
  onAccent: '#FFFCF4',
  green: '#2C5E3A',
  wood: '#D9B779',
};

const DARK: Inks = {
  paper: '#171410',
  leaf: '#221E18',
  ink: '#F6F0E2',
  ink2: '#C6BBA6',
  rule: '#4F4739',
  accent: '#FF9D83',
  onAccent: '#1C1914',
  green: '#9AD6AB',
  wood: '#D9B779',
};

export const FONTS = {
  name: 'Bitter_800ExtraBold',
  regular: 'AtkinsonHyperlegibleNext_400Regular',
  semi: 'AtkinsonHyperlegibleNext_600SemiBold',
  bold: 'AtkinsonHyperlegibleNext_700Bold',
};

/** Sizes in px. What is read at work is 16 and more. */
export const SPACE = 16;
export const TOUCH = 48;
export const WIDE = 900;

function paperTheme(inks: Inks, dark: boolean): MD3Theme {
  const base = dark ? MD3DarkTheme : MD3LightTheme;
  return {
    ...base,
    roundness: 0,
    fonts: configureFonts({ config: { fontFamily: FONTS.regular } }),
    colors: {
      ...base.colors,
      primary: inks.ink,
      onPrimary: inks.leaf,
      primaryContainer: inks.ink,
      onPrimaryContainer: inks.leaf,
      secondary: inks.ink2,
      onSecondary: inks.leaf,
      secondaryContainer: inks.ink,
      onSecondaryContainer: inks.leaf,
      background: inks.paper,
      onBackground: inks.ink,
      surface: inks.leaf,
      onSurface: inks.ink,
      surfaceVariant: inks.leaf,
      onSurfaceVariant: inks.ink2,
      outline: inks.ink,
      outlineVariant: inks.rule,
      error: inks.accent,
      onError: inks.onAccent,
      inverseSurface: inks.ink,
      inverseOnSurface: inks.leaf,
      inversePrimary: inks.leaf,
      elevation: {
        ...base.colors.elevation,
        level1: inks.leaf,
        level2: inks.leaf,
        level3: inks.leaf,
      },
    },
  };
}

export const THEMES = {
  light: { inks: LIGHT, paper: paperTheme(LIGHT, false) },
  dark: { inks: DARK, paper: paperTheme(DARK, true) },
};

export const InksContext = createContext<Inks>(LIGHT);
export const useInks = (): Inks => useContext(InksContext);
