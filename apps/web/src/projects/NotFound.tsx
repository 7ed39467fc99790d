import { useRouter } from 'expo-router';
import { Empty } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';

export function NotFound() {
  const router = useRouter();
  return (
    <Page title="Nothing here">
      <Empty
        title="There is no such page"
        action={<Press label="Go to the Route" look="next" onPress={() => router.replace('/')} />}
      >
        The address may be old, or a letter of it is missing.
      </Empty>
    </Page>
  );
}
