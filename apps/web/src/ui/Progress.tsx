import { View } from 'react-native';
import { uiShared as t } from '@cordel/text/pages/ui/shared';
import { Text } from './Text';
import { useColors } from './theme';

interface ProgressProps {
  /** What it is the progress of, for who does not see the bar. */
  label: string;
  done: number;
  total: number;
  /** The same in words. */
  children: string;
}

/** How far a piece of work is: a bar, and the figures. */
export function Progress({ label, done, total, children }: ProgressProps) {
  const colors = useColors();
  const share = total === 0 ? 0 : Math.min(1, done / total);
  return (
    <View style={{ gap: 4 }}>
      <View
        role="progressbar"
        aria-label={label}
        aria-valuenow={Math.round(share * 100)}
        aria-valuemin={0}
        aria-valuemax={100}
        style={{ height: 18, borderWidth: 2, borderColor: colors.ink }}
      >
        <View style={{ width: `${share * 100}%`, height: '100%', backgroundColor: colors.ink }} />
      </View>
      <Text>{children}</Text>
    </View>
  );
}

/** So many of so many rows. */
export const rowWords = (done: number, total: number): string =>
  total === 0
    ? t('countingRows')
    : t('doneOfTotalRows', { done: done.toLocaleString('en'), total: total.toLocaleString('en') });

export const byteWords = (size: number): string =>
  size < 1_000_000 ? `${Math.ceil(size / 1000)} kB` : `${(size / 1_000_000).toFixed(1)} MB`;
