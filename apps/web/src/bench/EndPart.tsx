import { View } from 'react-native';
import { type BenchState } from '@cordel/core/session';
import { endPart as t } from '@cordel/text/pages/bench/EndPart';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import type { Bench } from './useBench';

type Seen = BenchState['end'];

/** What is seen of the end in hand: light through it, and its end face. A second tap takes an answer back. */
export function EndPart({ bench }: { bench: Bench }) {
  const { end } = bench.state;
  const see = (seen: Partial<Seen>) => bench.dispatch({ type: 'end', seen });
  return (
    <SeenFields
      seen={end}
      onLight={(light) => see({ light: end.light === light ? null : light })}
      onFace={(face) => see({ face: end.face === face ? null : face })}
    />
  );
}

interface SeenFieldsProps {
  seen: Seen;
  onLight(light: NonNullable<Seen['light']>): void;
  onFace(face: NonNullable<Seen['face']>): void;
}

/** Light and end face, two keys each. */
export function SeenFields({ seen, onLight, onFace }: SeenFieldsProps) {
  return (
    <View style={{ gap: 8 }}>
      <Pair
        label={t('lightThroughIt')}
        value={seen.light}
        options={[
          { value: 'seen', label: t('lightSeen'), icon: 'lightbulb-on-outline' },
          { value: 'none', label: t('noLight'), icon: 'lightbulb-off-outline' },
        ]}
        onChange={onLight}
      />
      <Pair
        label={t('endFace')}
        value={seen.face}
        options={[
          { value: 'pass', label: t('facePasses'), icon: 'check-circle-outline' },
          { value: 'fail', label: t('faceFails'), icon: 'close-circle-outline' },
        ]}
        onChange={onFace}
      />
      <Text kind="small" color="ink2">
        {t('neverLookIntoIt')}
      </Text>
    </View>
  );
}

function Pair<Value extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: Value | null;
  options: readonly { value: Value; label: string; icon: string }[];
  onChange(value: Value): void;
}) {
  return (
    <View role="group" aria-label={label} style={{ gap: 4 }}>
      <Text kind="strong">{label}</Text>
      <View style={{ flexDirection: 'row', gap: 8 }}>
        {options.map((option) => (
          <Button
            key={option.value}
            label={option.label}
            icon={option.icon}
            aria-pressed={option.value === value}
            look={option.value === value ? 'dark' : 'plain'}
            onPress={() => onChange(option.value)}
            style={{ flex: 1 }}
          />
        ))}
      </View>
    </View>
  );
}
