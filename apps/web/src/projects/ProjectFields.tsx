import {
  type Control,
  Controller,
  type UseFormSetValue,
  useFieldArray,
  useWatch,
} from 'react-hook-form';
import { View } from 'react-native';
import { BUILT_IN_LIMITS, type ColourScheme, GRADES, type Grade } from '@cordel/core';
import { Choice, Field } from '@/ui/Field';
import { Grid } from '@/ui/Grid';
import { Leaf } from '@/ui/Leaf';
import { Txt } from '@/ui/Txt';
import { UnitFields } from './UnitFields';
import { type ProjectForm, type ReadProjectForm, limitsForm } from './projectForm';

type FormControl = Control<ProjectForm, unknown, ReadProjectForm>;

const GRADE_LABELS: Record<Grade, string> = {
  estimate: 'Estimate',
  'one-way': 'One-way OTDR',
  insertion: 'Insertion loss',
  'two-way': 'Two-way OTDR',
};

interface Props {
  control: FormControl;
  setValue: UseFormSetValue<ProjectForm>;
  schemes: readonly ColourScheme[];
}

/** All settings of a project: name, units, colours, trays, limits. */
export function ProjectFields({ control, setValue, schemes }: Props) {
  const loose = control as unknown as Control<ProjectForm>;
  return (
    <View style={{ gap: 28 }}>
      <Grid least={460} gap={28}>
        <View style={{ gap: 20 }}>
          <Field control={loose} name="name" label="Project name" />
          <Controller
            control={control}
            name="practiceOnly"
            render={({ field }) => (
              <View style={{ gap: 4 }}>
                <Choice
                  label="What it is for"
                  value={field.value ? 'practice' : 'work'}
                  options={[
                    { value: 'work', label: 'Real work' },
                    { value: 'practice', label: 'Practice only' },
                  ]}
                  onChange={(value) => field.onChange(value === 'practice')}
                />
                <Txt kind="small" ink="ink2">
                  Simulators work in practice projects only. The mark stays once something simulated
                  is recorded.
                </Txt>
              </View>
            )}
          />
          <Pick
            control={control}
            name="schemeId"
            label="Colours of new cables"
            options={schemes.map((scheme) => [scheme.id, scheme.name])}
          />
          <View style={{ gap: 8 }}>
            <Txt ink="ink2">A tray holds, where a list says nothing else</Txt>
            <View style={{ flexDirection: 'row', gap: 12 }}>
              <Field control={loose} name="trayCapacity.single" label="Single sleeves" numeric />
              <Field control={loose} name="trayCapacity.mass" label="Ribbon sleeves" numeric />
            </View>
          </View>
        </View>
        <UnitFields control={control} />
      </Grid>
      <Grid least={460} gap={28}>
        <LimitFields control={control} setValue={setValue} />
        <View style={{ gap: 28 }}>
          <BudgetFields control={control} />
          <PracticeFields control={control} />
        </View>
      </Grid>
    </View>
  );
}

function Pick({
  control,
  name,
  label,
  options,
}: {
  control: FormControl;
  name:
    | 'schemeId'
    | 'practice.tubeTool'
    | 'practice.gel'
    | 'practice.arc.when'
    | 'practice.workingLength'
    | 'practice.dropEnd';
  label: string;
  options: [string, string][];
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Choice
          label={label}
          value={field.value as string}
          options={options.map(([value, word]) => ({ value, label: word }))}
          onChange={field.onChange}
        />
      )}
    />
  );
}

/** What glass, splices and connectors are expected to lose. */
function BudgetFields({ control }: Pick<Props, 'control'>) {
  const loose = control as unknown as Control<ProjectForm>;
  const { fields } = useFieldArray({ control: loose, name: 'budget.glass' });
  const row = (
    name: `budget.glass.${number}` | 'budget.splice' | 'budget.connector',
    label: string,
    unit: string,
  ) => (
    <View key={name} style={{ gap: 4 }}>
      <Txt>{label}</Txt>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <Field control={loose} name={`${name}.usual`} label="Usual" unit={unit} numeric />
        <Field control={loose} name={`${name}.spread`} label="Spread ±" unit={unit} numeric />
        <Field control={loose} name={`${name}.most`} label="At most" unit={unit} numeric />
      </View>
    </View>
  );
  return (
    <View style={{ gap: 16 }}>
      <Txt kind="name" heading={2}>
        Loss budget
      </Txt>
      <Leaf style={{ gap: 12 }}>
        {fields.map(({ wavelengthNm }, index) =>
          row(`budget.glass.${index}`, `Glass at ${wavelengthNm} nm`, 'dB/km'),
        )}
        {row('budget.splice', 'A splice', 'dB')}
        {row('budget.connector', 'A connector pair', 'dB')}
        <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
          <Field control={loose} name="budget.connectors" label="Connectors on a circuit" numeric />
          <Field
            control={loose}
            name="budget.most"
            label="The equipment bridges"
            unit="dB"
            hint="Empty: the most of every part together"
            numeric
          />
        </View>
      </Leaf>
    </View>
  );
}

/** Where schools differ, and what redos cost. */
function PracticeFields({ control }: Pick<Props, 'control'>) {
  const loose = control as unknown as Control<ProjectForm>;
  return (
    <View style={{ gap: 16 }}>
      <Txt kind="name" heading={2}>
        Practice
      </Txt>
      <Pick
        control={control}
        name="practice.tubeTool"
        label="Tubes are opened with"
        options={[
          ['scorer', 'fixed-depth scorer'],
          ['stripper', 'wire stripper'],
        ]}
      />
      <Pick
        control={control}
        name="practice.gel"
        label="Gel comes off"
        options={[
          ['at once', 'at once'],
          ['after grouping', 'once groups are told apart'],
        ]}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Field control={loose} name="practice.trayFiber" label="Fiber on a tray" />
        <Field control={loose} name="practice.redoEats" label="A redo eats" />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Field control={loose} name="practice.redos" label="Redos to leave slack for" numeric />
        <Field
          control={loose}
          name="practice.redoPercent"
          label="Redos expected"
          unit="%"
          numeric
        />
      </View>
      <Pick
        control={control}
        name="practice.workingLength"
        label="Working length"
        options={[
          ['mark 30 mm', 'mark 30 mm back'],
          ['past the holder', 'cut half an inch past the holder'],
        ]}
      />
      <Pick
        control={control}
        name="practice.dropEnd"
        label="The end of a drop"
        options={[
          ['splice-on', 'splice-on connector'],
          ['pigtail', 'pigtail'],
          ['mechanical', 'mechanical'],
        ]}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Field
          control={loose}
          name="practice.adhesiveWait"
          label="Adhesive is left alone"
          unit="s"
          hint="One school 30 s, the other 60 s"
          numeric
        />
        <Field
          control={loose}
          name="practice.noTension"
          label="No tension test on splice-on connectors: why"
          hint="Empty: the test stays on"
        />
        <Field
          control={loose}
          name="practice.leakLimit"
          label="A tight closure falls by at most"
          hint="In a minute, at one temperature: 0.015 psi or 100 Pa"
        />
      </View>
      <ArcFields control={control} />
    </View>
  );
}

/** When the arc is to be checked. */
function ArcFields({ control }: Pick<Props, 'control'>) {
  const loose = control as unknown as Control<ProjectForm>;
  return (
    <Leaf style={{ gap: 12 }}>
      <Pick
        control={control}
        name="practice.arc.when"
        label="The arc is checked"
        options={[
          ['both', 'every session and on triggers'],
          ['session', 'every session'],
          ['triggers', 'on triggers only'],
        ]}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Field control={loose} name="practice.arc.arcs125" label="Arcs on 125 um" numeric />
        <Field control={loose} name="practice.arc.arcs400" label="Arcs on 400 um" numeric />
        <Field control={loose} name="practice.arc.streak" label="High ones in a row" numeric />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Field control={loose} name="practice.arc.temperature" label="Warmer or colder by" />
        <Field control={loose} name="practice.arc.humidity" label="Humidity by" unit="%" numeric />
        <Field control={loose} name="practice.arc.pressure" label="Air pressure by" />
        <Field
          control={loose}
          name="practice.arc.idleDays"
          label="Not used for"
          unit="days"
          numeric
        />
      </View>
    </Leaf>
  );
}

function LimitFields({ control, setValue }: Omit<Props, 'schemes'>) {
  const loose = control as unknown as Control<ProjectForm>;
  const name = useWatch({ control, name: 'limits.name' });
  const start = (chosen: string) => {
    const limits = BUILT_IN_LIMITS.find((entry) => entry.name === chosen);
    if (limits) setValue('limits', limitsForm(limits), { shouldValidate: true, shouldDirty: true });
  };
  return (
    <View style={{ gap: 16 }}>
      <Txt kind="name" heading={2}>
        Limits
      </Txt>
      <Choice
        label="Start from"
        value={name}
        options={BUILT_IN_LIMITS.map((limits) => ({ value: limits.name, label: limits.name }))}
        onChange={start}
      />
      <Field control={loose} name="limits.name" label="Name of the limits" />
      <Field control={loose} name="limits.source" label="Where the figures come from" multiline />
      <Controller
        control={control}
        name="limits.grade"
        render={({ field }) => (
          <Choice
            label="What accepts a splice"
            value={field.value}
            options={GRADES.map((grade) => ({ value: grade, label: GRADE_LABELS[grade] }))}
            onChange={field.onChange}
          />
        )}
      />
      <Leaf style={{ gap: 12 }}>
        <Txt ink="ink2">Largest loss of one splice in dB, empty for none</Txt>
        {GRADES.map((grade) => (
          <View key={grade} style={{ gap: 4 }}>
            <Txt>{GRADE_LABELS[grade]}</Txt>
            <View style={{ flexDirection: 'row', gap: 12 }}>
              <Field
                control={loose}
                name={`limits.splice.${grade}.single`}
                label="Single"
                unit="dB"
                numeric
              />
              <Field
                control={loose}
                name={`limits.splice.${grade}.mass`}
                label="Ribbon"
                unit="dB"
                numeric
              />
            </View>
          </View>
        ))}
      </Leaf>
      <Leaf style={{ gap: 12 }}>
        <Txt ink="ink2">Largest mean in dB, empty for none</Txt>
        <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
          <Field control={loose} name="limits.mean.fiber" label="A fiber" unit="dB" numeric />
          <Field control={loose} name="limits.mean.tray" label="A tray" unit="dB" numeric />
          <Field control={loose} name="limits.mean.closure" label="A closure" unit="dB" numeric />
        </View>
      </Leaf>
      <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
        <Field control={loose} name="limits.maxTries" label="Tries at most" numeric />
        <Field
          control={loose}
          name="limits.wavelengths"
          label="Wavelengths"
          unit="nm"
          hint="Such as 1310, 1550"
        />
      </View>
    </View>
  );
}
