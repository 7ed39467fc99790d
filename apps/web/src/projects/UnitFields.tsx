import { useState } from 'react';
import { type Control, useController } from 'react-hook-form';
import { View } from 'react-native';
import {
  GAUGE_UNITS,
  METRIC,
  US_CUSTOMARY,
  type UnitPreset,
  type Units,
  altitudeUnitSchema,
  distanceUnitSchema,
  lengthUnitSchema,
  paperSchema,
  temperatureUnitSchema,
} from '@cordel/core';
import { unitFields as t } from '@cordel/text/pages/projects/UnitFields';
import { common } from '@cordel/text/pages/common';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Button } from '@/ui/Button';
import { Select } from '@/ui/Select';
import { Text } from '@/ui/Text';
import { type ProjectForm, type ReadProjectForm, practiceInUnits } from './projectForm';

const PRESETS = { metric: METRIC, us: US_CUSTOMARY } as const;

/** Every unit that can be chosen, with what it is for. */
const CHOICES: { key: keyof UnitPreset; label: string; options: readonly string[] }[] = [
  { key: 'length', label: t('shortLengthsAtTheBench'), options: lengthUnitSchema.options },
  { key: 'distance', label: t('distancesAlongTheRoute'), options: distanceUnitSchema.options },
  { key: 'pressure', label: t('pressure'), options: GAUGE_UNITS },
  { key: 'temperature', label: common('temperature'), options: temperatureUnitSchema.options },
  { key: 'altitude', label: t('altitude'), options: altitudeUnitSchema.options },
  { key: 'paper', label: t('paper'), options: paperSchema.options },
];

const presetOf = (units: Units): keyof typeof PRESETS | null => {
  const fits = (preset: UnitPreset) => CHOICES.every(({ key }) => preset[key] === units[key]);
  return fits(METRIC) ? 'metric' : fits(US_CUSTOMARY) ? 'us' : null;
};

/** The time zones this device knows, with the chosen one. */
const timeZones = (chosen: string): string[] =>
  [...new Set([chosen, 'UTC', ...Intl.supportedValuesOf('timeZone')])].sort();

/** Units, paper and time zone of a project: two presets, and each by itself. */
export function UnitFields({
  control,
}: {
  control: Control<ProjectForm, unknown, ReadProjectForm>;
}) {
  const { field } = useController({ control, name: 'units' });
  const practice = useController({ control, name: 'practice' }).field;
  const units = field.value;
  const change = (next: Units) => {
    practice.onChange(practiceInUnits(practice.value, units, next));
    field.onChange(next);
  };
  const preset = presetOf(units);
  const [open, setOpen] = useState(preset === null);
  return (
    <View style={{ gap: 12 }}>
      <Choice<string>
        label={t('unitsAndPaper')}
        value={preset ?? ''}
        options={[
          { value: 'metric', label: t('metric') },
          { value: 'us', label: 'US' },
        ]}
        onChange={(value) => change({ ...units, ...PRESETS[value as keyof typeof PRESETS] })}
      />
      <Text color="ink2">
        {t('cleaveLengthsStayInMmAny', {
          units: CHOICES.map(({ key }) => units[key]).join(', '),
        })}
      </Text>
      <Button
        label={open ? t('hideTheSingleUnits') : t('chooseSingleUnits')}
        aria-expanded={open}
        onPress={() => setOpen(!open)}
      />
      {open ? (
        <Card style={{ gap: 12 }}>
          {CHOICES.map(({ key, label, options }) => (
            <Choice<string>
              key={key}
              label={label}
              value={units[key]}
              options={options.map((value) => ({ value, label: value }))}
              onChange={(value) => change({ ...units, [key]: value })}
            />
          ))}
        </Card>
      ) : null}
      <View style={{ gap: 6 }}>
        <Text color="ink2">{t('timeZoneOfTheWork')}</Text>
        <Select
          label={t('timeZoneOfTheWork')}
          value={units.timeZone}
          options={timeZones(units.timeZone).map((zone) => ({ value: zone, label: zone }))}
          onChange={(timeZone) => field.onChange({ ...units, timeZone })}
        />
      </View>
    </View>
  );
}
