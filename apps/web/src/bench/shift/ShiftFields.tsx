import { useState } from 'react';
import { View } from 'react-native';
import { type ShiftSetting, shiftSettingSchema } from '@cordel/core/shift';
import { shiftFields as t } from '@cordel/text/pages/bench/ShiftFields';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';

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
      <Text color="ink2">{label}</Text>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
        <Button
          label={t('fewerLabel', { label })}
          disabled={value <= 1}
          onPress={() => onChange(value - 1)}
        >
          <Text kind="strong">−</Text>
        </Button>
        <Text kind="name" style={{ minWidth: 22, textAlign: 'center' }}>
          {value}
        </Text>
        <Button
          label={t('moreLabel', { label })}
          disabled={value >= 12}
          onPress={() => onChange(value + 1)}
        >
          <Text kind="strong">+</Text>
        </Button>
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
    <TextField
      label={label}
      value={typed}
      problem={good ? undefined : t('aFigureFromTo1440', { least })}
      numeric
      minWidth={90}
      onChange={(next) => {
        setTyped(next);
        const read = Number(next);
        if (next.trim() !== '' && read >= least && read <= 1440) onChange(read);
      }}
    />
  );
}

const TIME_LABELS: Record<keyof ShiftSetting['times'], string> = {
  open: t('openATubeS'),
  ribbonize: t('ribbonizeS'),
  adhesive: t('adhesiveS'),
  prepSingle: t('prepareAPairS'),
  prepRibbon: t('prepareARibbonS'),
  load: t('loadS'),
  arc: t('arcS'),
  test: t('checkAndTestS'),
  again: t('takeOutAgainS'),
  move: t('intoTheHeaterS'),
  heat: t('heatS'),
  seat: t('seatS'),
  check: t('arcCheckS'),
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
        label={t('singlesRedone')}
        value={Math.round(setting.redo.single * 100)}
        onChange={(value) =>
          onChange({ redo: { ...setting.redo, single: Math.min(0.9, value / 100) } })
        }
      />
      <Minutes
        label={t('ribbonsRedone')}
        value={Math.round(setting.redo.ribbon * 100)}
        onChange={(value) =>
          onChange({ redo: { ...setting.redo, ribbon: Math.min(0.9, value / 100) } })
        }
      />
      <Minutes
        label={t('ribbonizedRedone')}
        value={Math.round(setting.redo.ribbonized * 100)}
        onChange={(value) =>
          onChange({ redo: { ...setting.redo, ribbonized: Math.min(0.9, value / 100) } })
        }
      />
      <Notice>{t('theArcIsCheckedByThe')}</Notice>
    </View>
  );
}
