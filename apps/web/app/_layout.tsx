import { Slot } from 'expo-router';
import { PageBoundary } from '@/ui/PageBoundary';
import { Providers } from '@/ui/Providers';

export default function Root() {
  return (
    <Providers>
      <PageBoundary>
        <Slot />
      </PageBoundary>
    </Providers>
  );
}
