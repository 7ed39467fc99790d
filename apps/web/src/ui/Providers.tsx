import { QueryClientProvider } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { type ReactNode } from 'react';
import { useColorScheme } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { queryClient } from '@/data/client';
import { usePersisted } from '@/data/storage';
import { IconShape } from './IconShape';
import { ColorsContext, THEMES } from './theme';

const settings = { icon: IconShape };

/* eslint-disable @typescript-eslint/no-require-imports -- Metro takes assets by require only */
/** Cut to the letters in use by `npm run assets`. */
const FACES = {
  AtkinsonHyperlegibleNext_400Regular: require('../../assets/fonts/AtkinsonHyperlegibleNext_400Regular.woff2'),
  AtkinsonHyperlegibleNext_600SemiBold: require('../../assets/fonts/AtkinsonHyperlegibleNext_600SemiBold.woff2'),
  AtkinsonHyperlegibleNext_700Bold: require('../../assets/fonts/AtkinsonHyperlegibleNext_700Bold.woff2'),
  Bitter_800ExtraBold: require('../../assets/fonts/Bitter_800ExtraBold.woff2'),
} as Record<string, number>;
/* eslint-enable @typescript-eslint/no-require-imports */

/** Theme of this device: as the system has it, or light or dark by choice. */
export const useThemeChoice = () => usePersisted('cordel.theme', 'system');

export function Providers({ children }: { children: ReactNode }) {
  const system = useColorScheme();
  const [choice] = useThemeChoice();
  const dark = choice === 'dark' || (choice === 'system' && system === 'dark');
  const theme = THEMES[dark ? 'dark' : 'light'];
  // The page does not wait for its fonts: they are asked for before any script is.
  useFonts(FACES);
  return (
    <QueryClientProvider client={queryClient}>
      <ColorsContext.Provider value={theme.colors}>
        <PaperProvider theme={theme.paper} settings={settings}>
          {children}
        </PaperProvider>
      </ColorsContext.Provider>
    </QueryClientProvider>
  );
}
