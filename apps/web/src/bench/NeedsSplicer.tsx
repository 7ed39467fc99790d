import { useRouter } from 'expo-router';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { Empty } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';

/** What a page about the splicer shows until one is chosen. */
export function NeedsSplicer({
  title,
  closure,
  base,
  why,
}: {
  title: string;
  closure: string;
  base: string;
  why: string;
}) {
  const router = useRouter();
  return (
    <Page title={title} above={closure} back={base}>
      <Empty
        title={t('noSplicerYet')}
        action={
          <Button
            label={t('setUpTheSplicer')}
            look="next"
            onPress={() => router.replace(`${base}/setup` as never)}
          />
        }
      >
        {why}
      </Empty>
    </Page>
  );
}
