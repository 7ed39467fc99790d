import { useRouter } from 'expo-router';
import { benchShared as t } from '@cordel/text/pages/bench/shared';
import { Empty } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';

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
          <Press
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
