import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular';
import { AtkinsonHyperlegibleNext_600SemiBold } from '@expo-google-fonts/atkinson-hyperlegible-next/600SemiBold';
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold';
import { Bitter_800ExtraBold } from '@expo-google-fonts/bitter/800ExtraBold';
import MaterialCommunityIcons from '@expo/vector-icons/MaterialCommunityIcons';
import { QueryClientProvider } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { type ReactNode } from 'react';
import { useColorScheme } from 'react-native';
import { PaperProvider } from 'react-native-paper';
import { queryClient } from '@/data/client';
import { useKept } from '@/data/storage';
import { InksContext, THEMES } from './theme';

const settings = {
  icon: (props: { name: string; color?: string; size: number }) => (
    <MaterialCommunityIcons {...props} name={props.name as 'close'} aria-hidden />
  ),
};

/** Theme of this device: as the system has it, or light or dark by choice. */
export const useThemeChoice = () => useKept('cordel.theme', 'system');

export function Providers({ children }: { children: ReactNode }) {
  const system = useColorScheme();
  const [choice] = useThemeChoice();
  const dark = choice === 'dark' || (choice === 'system' && system === 'dark');
  const theme = THEMES[dark ? 'dark' : 'light'];
  const [loaded, failed] = useFonts({
    AtkinsonHyperlegibleNext_400Regular,
    AtkinsonHyperlegibleNext_600SemiBold,
    AtkinsonHyperlegibleNext_700Bold,
    Bitter_800ExtraBold,
    ...MaterialCommunityIcons.font,
  });
  if (!loaded && !failed) return null;
  return (
    <QueryClientProvider client={queryClient}>
      <InksContext.Provider value={theme.inks}>
        <PaperProvider theme={theme.paper} settings={settings}>
          {children}
        </PaperProvider>
      </InksContext.Provider>
    </QueryClientProvider>
  );
}
