import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import { type ShiftSetting, shiftSettingSchema } from '@cordel/core/shift';
import { Notice } from '@/ui/Notice';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';

/** A small count, by two keys. */
export function Count({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange(value: number): void;
}) {
  return (
    <View role="group" aria-label={label} style={{ gap: 2 }}>
      <Txt ink="ink2">{label}</Txt>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
        <Press label={`Fewer: ${label}`} disabled={value <= 1} onPress={() => onChange(value - 1)}>
          <Txt kind="strong">−</Txt>
        </Press>
        <Txt kind="name" style={{ minWidth: 22, textAlign: 'center' }}>
          {value}
        </Txt>
        <Press label={`More: ${label}`} disabled={value >= 12} onPress={() => onChange(value + 1)}>
          <Txt kind="strong">+</Txt>
        </Press>
      </View>
    </View>
  );
}

/** A figure that counts once it is one; what is typed stays until then. */
export function Minutes({
  label,
  value,
  least = 0,
  onChange,
}: {
  label: string;
  value: number;
  least?: number;
  onChange(value: number): void;
}) {
  const [typed, setTyped] = useState(String(value));
  const figure = Number(typed);
  const good = typed.trim() !== '' && figure >= least && figure <= 1440;
  return (
    <View style={{ flexGrow: 1, minWidth: 90 }}>
      <TextInput
        mode="outlined"
        label={label}
        aria-label={label}
        value={typed}
        error={!good}
        inputMode="decimal"
        onChangeText={(next) => {
          setTyped(next);
          const read = Number(next);
          if (next.trim() !== '' && read >= least && read <= 1440) onChange(read);
        }}
        outlineStyle={{ borderWidth: 2 }}
      />
      {good ? null : <Txt kind="small" ink="accent">{`A figure from ${least} to 1440.`}</Txt>}
    </View>
  );
}

const TIME_LABELS: Record<keyof ShiftSetting['times'], string> = {
  open: 'Open a tube, s',
  ribbonize: 'Ribbonize, s',
  adhesive: 'Adhesive, s',
  prepSingle: 'Prepare a pair, s',
  prepRibbon: 'Prepare a ribbon, s',
  load: 'Load, s',
  arc: 'Arc, s',
  test: 'Look and test, s',
  again: 'Take out again, s',
  move: 'Into the heater, s',
  heat: 'Heat, s',
  seat: 'Seat, s',
  check: 'Arc check, s',
};

/** How long each step takes, and how often joints are made again. */
export function Times({
  setting,
  onChange,
}: {
  setting: ShiftSetting;
  onChange(part: Partial<ShiftSetting>): void;
}) {
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
      {(Object.keys(TIME_LABELS) as (keyof ShiftSetting['times'])[]).map((key) => (
        <Minutes
          key={key}
          label={TIME_LABELS[key]}
          value={setting.times[key]}
          least={1}
          onChange={(value) => {
            const times = { ...setting.times, [key]: value };
            if (shiftSettingSchema.shape.times.safeParse(times).success) onChange({ times });
          }}
        />
      ))}
      <Minutes
        label="Singles made again, %"
        value={Math.round(setting.redo.single * 100)}
        onChange={(value) =>
          onChange({ redo: { ...setting.redo, single: Math.min(0.9, value / 100) } })
        }
      />
      <Minutes
        label="Ribbons made again, %"
        value={Math.round(setting.redo.ribbon * 100)}
        onChange={(value) =>
          onChange({ redo: { ...setting.redo, ribbon: Math.min(0.9, value / 100) } })
        }
      />
      <Minutes
        label="Ribbonized made again, %"
        value={Math.round(setting.redo.ribbonized * 100)}
        onChange={(value) =>
          onChange({ redo: { ...setting.redo, ribbonized: Math.min(0.9, value / 100) } })
        }
      />
      <Notice>The arc is checked by the project’s policy; heaters and arcs keep their time.</Notice>
    </View>
  );
}
