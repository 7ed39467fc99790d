import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useProjectView } from '@/projects/context';
import { Press } from '@/ui/Press';
import { Sheet } from '@/ui/Sheet';
import { Txt } from '@/ui/Txt';
import type { Bench } from './useBench';

const REASONS = [
  'Dead fiber on side A.',
  'Dead fiber on side B.',
  'Too short to splice.',
  'Reserved: not to be spliced.',
];

/** Skips the fiber in hand, or its whole ribbon, with a reason. */
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
  const skip = (why: string) => {
    bench.skip(why, whole);
    setOther('');
    onClose();
  };
  return (
    <Sheet
      title={`Skip ${fiberName(fiber.cableA, fiber.fiberA)}`}
      visible={visible}
      onClose={onClose}
    >
      <Txt>Why is it not spliced? The reason stands in the Ledger.</Txt>
      {sleeve.method === 'mass' ? (
        <View style={{ flexDirection: 'row', gap: 8 }}>
          <Press
            label="This fiber"
            look={whole ? 'plain' : 'dark'}
            onPress={() => setWhole(false)}
          />
          <Press
            label="The whole ribbon"
            look={whole ? 'dark' : 'plain'}
            onPress={() => setWhole(true)}
          />
        </View>
      ) : null}
      {REASONS.map((why) => (
        <Press key={why} label={why} onPress={() => skip(why)} />
      ))}
      <TextInput
        mode="outlined"
        label="Another reason"
        aria-label="Another reason"
        value={other}
        onChangeText={setOther}
        maxLength={500}
      />
      <Press
        label="Skip for this reason"
        look="next"
        disabled={other.trim() === ''}
        onPress={() => skip(other.trim())}
      />
    </Sheet>
  );
}
