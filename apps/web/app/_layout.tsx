import { Slot } from 'expo-router';
import { Providers } from '@/ui/Providers';

export default function Root() {
  return (
    <Providers>
      <Slot />
    </Providers>
  );
}
