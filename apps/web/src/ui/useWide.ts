import { useWindowDimensions } from 'react-native';
import { WIDE } from './theme';

/** Whether there is room for list and detail side by side. */
export const useWide = (): boolean => useWindowDimensions().width >= WIDE;

/** A screen lower than this leaves all its room to the work at the Bench, px. */
const SHORT = 700;

/** Whether the screen is a low one of a phone. */
export function useShort(): boolean {
  const { height, width } = useWindowDimensions();
  return height < SHORT && width < WIDE;
}
