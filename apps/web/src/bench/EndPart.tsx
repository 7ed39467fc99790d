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
  const keys = [
    {
      label: t('lightSeen'),
      isOn: end.light === 'seen',
      press: () => see({ light: end.light === 'seen' ? null : 'seen' }),
    },
    {
      label: t('noLight'),
      isOn: end.light === 'none',
      press: () => see({ light: end.light === 'none' ? null : 'none' }),
    },
    {
      label: t('facePass'),
      isOn: end.face === 'pass',
      press: () => see({ face: end.face === 'pass' ? null : 'pass' }),
    },
    {
      label: t('faceFail'),
      isOn: end.face === 'fail',
      press: () => see({ face: end.face === 'fail' ? null : 'fail' }),
    },
  ];
  return (
    <View role="group" aria-label={t('lightAndFace')} style={{ flexDirection: 'row', gap: 4 }}>
      {keys.map(({ label, isOn, press }) => (
        <Button
          key={label}
          label={label}
          aria-pressed={isOn}
          look={isOn ? 'dark' : 'plain'}
          textSize={15}
          onPress={press}
          style={{ flex: 1, paddingHorizontal: 2 }}
        />
      ))}
    </View>
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
