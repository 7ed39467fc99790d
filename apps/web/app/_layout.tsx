import { Slot } from 'expo-router';
import { View } from 'react-native';
import { Gate } from '@/accounts/Gate';
import { PageBoundary } from '@/ui/PageBoundary';
import { Providers } from '@/ui/Providers';
import { UpdateStrip } from '@/ui/UpdateStrip';

export default function Root() {
  return (
    <Providers>
      <View style={{ flex: 1 }}>
        <View style={{ flex: 1 }}>
          <PageBoundary>
            <Gate>
              <Slot />
            </Gate>
          </PageBoundary>
        </View>
        <UpdateStrip />
      </View>
    </Providers>
  );
}
