import { useWindowDimensions } from 'react-native';
import { WIDE } from './theme';

/** Whether there is room for list and detail side by side. */
export const useWide = (): boolean => useWindowDimensions().width >= WIDE;
