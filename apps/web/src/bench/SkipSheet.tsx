import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { useProjectView } from '@/projects/context';
import { Press } from '@/ui/Press';
import { Sheet } from '@/ui/Sheet';
import { Txt } from '@/ui/Txt';
import type { Bench } from './useBench';

const REASONS: { kind: 'skip' | 'dead'; why: string }[] = [
  { kind: 'dead', why: 'Dead fiber on side A.' },
  { kind: 'dead', why: 'Dead fiber on side B.' },
  { kind: 'dead', why: 'Reserved: not to be spliced.' },
  { kind: 'skip', why: 'Too short for now.' },
  { kind: 'skip', why: 'Other end not here yet.' },
];

const LABELS = { skip: 'Skip for now', dead: 'Dead' };

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
    bench.rule(kind, why, whole);
    setOther('');
    onClose();
  };
  return (
    <Sheet
      title={`Not spliced: ${fiberName(fiber.cableA, fiber.fiberA)}`}
      visible={visible}
      onClose={onClose}
    >
      <Txt>
        A skipped fiber is still to be spliced; a dead one is not. The reason stands in the Ledger.
      </Txt>
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
      {REASONS.map(({ kind, why }) => (
        <Press key={why} label={`${LABELS[kind]}: ${lower(why)}`} onPress={() => rule(kind, why)} />
      ))}
      <TextInput
        mode="outlined"
        label="Another reason"
        aria-label="Another reason"
        value={other}
        onChangeText={setOther}
        maxLength={500}
      />
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {(['skip', 'dead'] as const).map((kind) => (
          <Press
            key={kind}
            label={`${LABELS[kind]}, for this reason`}
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
