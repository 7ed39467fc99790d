import { type ReactNode } from 'react';
import { View } from 'react-native';
import { uiShared as t } from '@cordel/text/pages/ui/shared';
import { common } from '@cordel/text/pages/common';
import { errorText } from '@cordel/text/record';
import { useShownError } from '@/data/failedQueries';
import { Button } from './Button';
import { Text } from './Text';
import { type Colors, useColors } from './theme';

interface NoticeProps {
  /** The word that says it, in bold. */
  word?: string;
  color?: keyof Colors;
  live?: boolean;
  children?: ReactNode;
}

/** A word and its reason behind a bar of ink. */
export function Notice({ word, color: ink = 'ink', live, children }: NoticeProps) {
  const colors = useColors();
  const aloud = live ? ({ role: 'status', 'aria-live': 'polite' } as object) : {};
  return (
    <View
      {...aloud}
      style={{
        backgroundColor: colors.leaf,
        borderLeftWidth: 6,
        borderColor: colors[ink],
        paddingHorizontal: 12,
        paddingVertical: 8,
      }}
    >
      <Text>
        {word ? <Text kind="strong" color={ink}>{`${word} `}</Text> : null}
        {children}
      </Text>
    </View>
  );
}

/** What stands where there is nothing yet: what is missing and the next step. */
export function Empty({
  title,
  children,
  action,
}: {
  title: string;
  children: ReactNode;
  action?: ReactNode;
}) {
  return (
    <View style={{ paddingVertical: 32, gap: 12, alignItems: 'flex-start' }}>
      <Text kind="name" heading={2}>
        {title}
      </Text>
      <Text color="ink2">{children}</Text>
      {action}
    </View>
  );
}

/**
 * What a query shows until it has an answer.
 * @param again asks once more where it has none
 */
export function Waiting({ error, again }: { error: Error | null; again?: () => void }) {
  useShownError(error);
  if (!error) return <Text color="ink2">{t('reading')}</Text>;
  return (
    <View style={{ gap: 12 }}>
      <Notice word={t('notReached')} color="accent">
        {errorText(error)}
      </Notice>
      {again ? <Button label={common('tryAgain')} look="next" onPress={again} /> : null}
    </View>
  );
}
