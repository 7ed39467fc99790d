import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { moreSheet as t } from '@cordel/text/pages/bench/MoreSheet';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { usePersisted } from '@/data/storage';
import { Button } from '@/ui/Button';
import { PLACES } from '@/ui/Shell';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { Toggle } from '@/ui/Toggle';
import { useShort } from '@/ui/useWide';
import type { Setup } from './useSetup';

/** Whether one key is a loss of 0.00 to 0.09 dB and the next fiber follows. */
export const useOneKey = () => usePersisted('cordel.oneKey', 'off');

/** What is seldom needed at the Bench, behind one key. */
export function MoreSheet({
  projectId,
  base,
  setup,
  contact,
  visible,
  isMeasuring,
  isFinished,
  onPick,
  onSkip,
  onClose,
}: {
  projectId: string;
  /** Path of this closure's Bench. */
  base: string;
  setup: Setup;
  /** How the splicer's line stands. */
  contact: string;
  visible: boolean;
  isMeasuring: boolean;
  isFinished: boolean;
  onPick(): void;
  onSkip(): void;
  onClose(): void;
}) {
  const router = useRouter();
  const [oneKey, setOneKey] = useOneKey();
  const short = useShort();
  const go = (path: string) => {
    onClose();
    router.push(`${base}/${path}` as never);
  };
  const then = (work: () => void) => () => {
    onClose();
    work();
  };
  return (
    <Sheet title={t('more')} visible={visible} onClose={onClose}>
      <Button
        label={shared('chooseAFiber')}
        icon="format-list-bulleted"
        look="next"
        onPress={then(onPick)}
      />
      {isFinished ? null : (
        <Button label={t('skipFiber')} icon="debug-step-over" onPress={then(onSkip)} />
      )}
      {isMeasuring ? null : (
        <>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            <Button label={shared('setUpTheSplicer')} onPress={() => go('setup')} />
            {setup.splicer ? (
              <>
                <Button label={t('arcCheck')} onPress={() => go('arc')} />
                <Button label={t('charts')} onPress={() => go('charts')} />
              </>
            ) : null}
          </View>
          {setup.splicer ? <Text color="ink2">{contact}</Text> : null}
          <Toggle
            label={t('oneKey')}
            isOn={oneKey === 'on'}
            onChange={(isOn) => setOneKey(isOn ? 'on' : 'off')}
          />
          <Text kind="small" color="ink2">
            {t('oneKeySays')}
          </Text>
        </>
      )}
      {short ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {PLACES.filter(({ key }) => key !== 'bench').map(({ key, label, icon }) => (
            <Button
              key={key}
              label={label}
              icon={icon}
              onPress={then(() => router.push(`/p/${projectId}/${key}` as never))}
            />
          ))}
        </View>
      ) : null}
      <Text kind="small" color="ink2">
        {shared('shardsIntoTheClosedContainerEyes')}
      </Text>
    </Sheet>
  );
}
