import { useRouter } from 'expo-router';
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
        title="No splicer yet"
        action={
          <Press
            label="Set up the splicer"
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
