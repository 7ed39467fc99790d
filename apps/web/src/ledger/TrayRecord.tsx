import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { ledgerShared as t } from '@cordel/text/pages/ledger/shared';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { ClosurePicture } from './ClosurePicture';
import { useRecordLevel } from './useRecordLevel';

/** One tray: its picture and the way to its splices. */
export function TrayRecord({ closureId, tray }: { closureId: string; tray: number }) {
  const { project, closures } = useProjectView();
  const level = useRecordLevel();
  const router = useRouter();
  const closure = closures.find((entry) => entry.id === closureId);
  return (
    <View style={{ gap: 12 }}>
      <View>
        <Text color="ink2">{closure?.name}</Text>
        <Text kind="name" heading={level.title}>
          {t('tray', { tray })}
        </Text>
      </View>
      <ClosurePicture closureId={closureId} only={tray} />
      <Button
        label={t('itsSplices')}
        look="next"
        onPress={() =>
          router.push(
            `/p/${project.id}/ledger?view=splices&closure=${closureId}&q=tray+${tray}` as never,
          )
        }
      />
    </View>
  );
}
