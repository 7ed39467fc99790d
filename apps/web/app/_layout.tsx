import { Slot } from 'expo-router';
import { Gate } from '@/accounts/Gate';
import { PageBoundary } from '@/ui/PageBoundary';
import { Providers } from '@/ui/Providers';
import { useReload } from '@/ui/useReload';

export default function Root() {
  useReload();
  return (
    <Providers>
      <PageBoundary>
        <Gate>
          <Slot />
        </Gate>
      </PageBoundary>
    </Providers>
  );
}
