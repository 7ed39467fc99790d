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
import { Choice } from '@/ui/Field';
import { Leaf } from '@/ui/Leaf';
import { Press } from '@/ui/Press';
import { Select } from '@/ui/Select';
import { Txt } from '@/ui/Txt';
import type { ProjectForm, ReadProjectForm } from './projectForm';

const PRESETS = { metric: METRIC, us: US_CUSTOMARY } as const;

/** Every unit that can be chosen, with what it is for. */
const CHOICES: { key: keyof UnitPreset; label: string; options: readonly string[] }[] = [
  { key: 'length', label: 'Short lengths, at the bench', options: lengthUnitSchema.options },
  { key: 'distance', label: 'Distances along the route', options: distanceUnitSchema.options },
  { key: 'pressure', label: 'Pressure', options: GAUGE_UNITS },
  { key: 'temperature', label: 'Temperature', options: temperatureUnitSchema.options },
  { key: 'altitude', label: 'Altitude', options: altitudeUnitSchema.options },
  { key: 'paper', label: 'Paper', options: paperSchema.options },
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
  const units = field.value;
  const preset = presetOf(units);
  const [open, setOpen] = useState(preset === null);
  return (
    <View style={{ gap: 12 }}>
      <Choice<string>
        label="Units and paper"
        value={preset ?? ''}
        options={[
          { value: 'metric', label: 'Metric' },
          { value: 'us', label: 'US' },
        ]}
        onChange={(value) =>
          field.onChange({ ...units, ...PRESETS[value as keyof typeof PRESETS] })
        }
      />
      <Txt ink="ink2">{`${CHOICES.map(({ key }) => units[key]).join(', ')}. Cleave lengths stay in mm; any unit may be typed.`}</Txt>
      <Press
        label={open ? 'Hide the single units' : 'Choose single units'}
        aria-expanded={open}
        onPress={() => setOpen(!open)}
      />
      {open ? (
        <Leaf style={{ gap: 12 }}>
          {CHOICES.map(({ key, label, options }) => (
            <Choice<string>
              key={key}
              label={label}
              value={units[key]}
              options={options.map((value) => ({ value, label: value }))}
              onChange={(value) => field.onChange({ ...units, [key]: value })}
            />
          ))}
        </Leaf>
      ) : null}
      <View style={{ gap: 6 }}>
        <Txt ink="ink2">Time zone of the work</Txt>
        <Select
          label="Time zone of the work"
          value={units.timeZone}
          options={timeZones(units.timeZone).map((zone) => ({ value: zone, label: zone }))}
          onChange={(timeZone) => field.onChange({ ...units, timeZone })}
        />
      </View>
    </View>
  );
}
