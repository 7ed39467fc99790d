import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { ledgerShared as t } from '@cordel/text/pages/ledger/shared';
import { useProjectView } from '@/projects/context';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
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
        <Txt ink="ink2">{closure?.name}</Txt>
        <Txt kind="name" heading={level.title}>
          {t('tray', { tray })}
        </Txt>
      </View>
      <ClosurePicture closureId={closureId} only={tray} />
      <Press
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
