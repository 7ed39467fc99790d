import { createContext, useContext } from 'react';
import { MD3DarkTheme, MD3LightTheme, type MD3Theme, configureFonts } from 'react-native-paper';

/** The colors of a theme. Every color on a screen is one of these. */
export interface Colors {
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
  /** Over the page below a sheet. */
  veil: string;
}

const LIGHT: Colors = {
  paper: '#F6F0E2',
  leaf: '#FFFCF4',
  ink: '#1C1914',
  ink2: '#5A5246',
  rule: '#CDC2AC',
  accent: '#9C2C15',
  onAccent: '#FFFCF4',
  green: '#2C5E3A',
  wood: '#D9B779',
  veil: 'rgba(28, 25, 20, 0.6)',
};

const DARK: Colors = {
  paper: '#171410',
  leaf: '#221E18',
  ink: '#F6F0E2',
  ink2: '#C6BBA6',
  rule: '#4F4739',
  accent: '#FF9D83',
  onAccent: '#1C1914',
  green: '#9AD6AB',
  wood: '#D9B779',
  veil: 'rgba(0, 0, 0, 0.7)',
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

function paperTheme(colors: Colors, dark: boolean): MD3Theme {
  const base = dark ? MD3DarkTheme : MD3LightTheme;
  return {
    ...base,
    roundness: 0,
    fonts: configureFonts({ config: { fontFamily: FONTS.regular } }),
    colors: {
      ...base.colors,
      primary: colors.ink,
      onPrimary: colors.leaf,
      primaryContainer: colors.ink,
      onPrimaryContainer: colors.leaf,
      secondary: colors.ink2,
      onSecondary: colors.leaf,
      secondaryContainer: colors.ink,
      onSecondaryContainer: colors.leaf,
      background: colors.paper,
      onBackground: colors.ink,
      surface: colors.leaf,
      onSurface: colors.ink,
      surfaceVariant: colors.leaf,
      onSurfaceVariant: colors.ink2,
      outline: colors.ink,
      outlineVariant: colors.rule,
      error: colors.accent,
      onError: colors.onAccent,
      inverseSurface: colors.ink,
      inverseOnSurface: colors.leaf,
      inversePrimary: colors.leaf,
      elevation: {
        ...base.colors.elevation,
        level1: colors.leaf,
        level2: colors.leaf,
        level3: colors.leaf,
      },
    },
  };
}

export const THEMES = {
  light: { colors: LIGHT, paper: paperTheme(LIGHT, false) },
  dark: { colors: DARK, paper: paperTheme(DARK, true) },
};

export const ColorsContext = createContext<Colors>(LIGHT);
export const useColors = (): Colors => useContext(ColorsContext);
