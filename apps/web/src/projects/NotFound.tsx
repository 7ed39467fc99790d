import { useRouter } from 'expo-router';
import { projectsShared as t } from '@cordel/text/pages/projects/shared';
import { Empty } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';

export function NotFound() {
  const router = useRouter();
  return (
    <Page title={t('nothingHere')}>
      <Empty
        title={t('thereIsNoSuchPage')}
        action={
          <Button label={t('goToTheRoute')} look="next" onPress={() => router.replace('/')} />
        }
      >
        {t('theAddressMayBeOldOr')}
      </Empty>
    </Page>
  );
}
