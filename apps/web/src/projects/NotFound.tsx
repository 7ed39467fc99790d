import { useRouter } from 'expo-router';
import { projectsShared as t } from '@cordel/text/pages/projects/shared';
import { Empty } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';

export function NotFound() {
  const router = useRouter();
  return (
    <Page title={t('nothingHere')}>
      <Empty
        title={t('thereIsNoSuchPage')}
        action={<Press label={t('goToTheRoute')} look="next" onPress={() => router.replace('/')} />}
      >
        {t('theAddressMayBeOldOr')}
      </Empty>
    </Page>
  );
}
