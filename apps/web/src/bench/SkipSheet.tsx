import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { skipSheet as t } from '@cordel/text/pages/bench/SkipSheet';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import type { Bench } from './useBench';

const REASONS: { kind: 'skip' | 'dead'; why: string }[] = [
  { kind: 'dead', why: t('deadFiberOnSideA') },
  { kind: 'dead', why: t('deadFiberOnSideB') },
  { kind: 'dead', why: t('reservedNotToBeSpliced') },
  { kind: 'skip', why: t('tooShortForNow') },
  { kind: 'skip', why: t('otherEndNotHereYet') },
];

const LABELS = { skip: t('skipForNow'), dead: t('dead') };

/** Puts the fiber in hand off, or calls it dead, with a reason; for the fiber or its whole ribbon. */
export function SkipSheet({
  bench,
  visible,
  onClose,
}: {
  bench: Bench;
  visible: boolean;
  onClose(): void;
}) {
  const { fiberName } = useProjectView();
  const [other, setOther] = useState('');
  const [whole, setWhole] = useState(false);
  const { fiber, sleeve } = bench;
  if (!fiber || !sleeve) return null;
  const rule = (kind: 'skip' | 'dead', why: string) => {
    bench.dispatch({ type: 'rule', kind, why, isWhole: whole });
    setOther('');
    onClose();
  };
  return (
    <Sheet
      title={t('notSplicedFiberName', {
        fiberName: fiberName(fiber.cableA, fiber.fiberA, fiber.legA),
      })}
      visible={visible}
      onClose={onClose}
    >
      <Text>{t('aSkippedFiberIsStillTo')}</Text>
      {sleeve.method === 'mass' ? (
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <Button
            label={t('thisFiber')}
            look={whole ? 'plain' : 'dark'}
            onPress={() => setWhole(false)}
          />
          <Button
            label={t('theWholeRibbon')}
            look={whole ? 'dark' : 'plain'}
            onPress={() => setWhole(true)}
          />
        </View>
      ) : null}
      {REASONS.map(({ kind, why }) => (
        <Button
          key={why}
          label={`${LABELS[kind]}: ${lower(why)}`}
          onPress={() => rule(kind, why)}
        />
      ))}
      <TextInput
        mode="outlined"
        label={t('anotherReason')}
        aria-label={t('anotherReason')}
        value={other}
        onChangeText={setOther}
        maxLength={500}
      />
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {(['skip', 'dead'] as const).map((kind) => (
          <Button
            key={kind}
            label={t('forThisReason', { labels: LABELS[kind] })}
            look={kind === 'skip' ? 'next' : 'plain'}
            disabled={other.trim() === ''}
            onPress={() => rule(kind, other.trim())}
            style={{ flex: 1 }}
          />
        ))}
      </View>
    </Sheet>
  );
}

const lower = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);
