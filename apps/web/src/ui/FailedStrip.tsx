import { View } from 'react-native';
import { common } from '@cordel/text/pages/common';
import { uiShared as t } from '@cordel/text/pages/ui/shared';
import { errorText } from '@cordel/text/record';
import { useFailedQuery } from '@/data/failedQueries';
import { Button } from './Button';
import { Notice } from './Notice';

/** What a page could not load and does not say itself: a part that is missing is never taken for empty. */
export function FailedStrip() {
  const { error, again } = useFailedQuery();
  if (!error) return null;
  return (
    <View style={{ padding: 8, gap: 8 }}>
      <Notice word={t('partMissing')} color="accent" live>
        {errorText(error)}
      </Notice>
      <Button label={common('tryAgain')} onPress={again} />
    </View>
  );
}
