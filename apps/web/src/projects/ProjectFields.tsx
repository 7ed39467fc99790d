import {
  type Control,
  Controller,
  type UseFormSetValue,
  useFieldArray,
  useWatch,
} from 'react-hook-form';
import { View } from 'react-native';
import { BUILT_IN_LIMITS, type ColourScheme, GRADES, type Grade } from '@cordel/core';
import { projectFields as t } from '@cordel/text/pages/projects/ProjectFields';
import { projectsShared as shared } from '@cordel/text/pages/projects/shared';
import { common } from '@cordel/text/pages/common';
import { Choice, Field } from '@/ui/Field';
import { Grid } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { Text } from '@/ui/Text';
import { UnitFields } from './UnitFields';
import { type ProjectForm, type ReadProjectForm, limitsForm } from './projectForm';

type FormControl = Control<ProjectForm, unknown, ReadProjectForm>;

const GRADE_LABELS: Record<Grade, string> = {
  estimate: t('estimate'),
  'one-way': t('oneWayOtdr'),
  insertion: t('insertionLoss'),
  'two-way': t('twoWayOtdr'),
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
          <Field control={loose} name="name" label={t('projectName')} />
          <Controller
            control={control}
            name="practiceOnly"
            render={({ field }) => (
              <View style={{ gap: 4 }}>
                <Choice
                  label={t('whatItIsFor')}
                  value={field.value ? 'practice' : 'work'}
                  options={[
                    { value: 'work', label: t('realWork') },
                    { value: 'practice', label: shared('practiceOnly') },
                  ]}
                  onChange={(value) => field.onChange(value === 'practice')}
                />
                <Text kind="small" ink="ink2">
                  {t('simulatorsWorkInPracticeProjects')}
                </Text>
              </View>
            )}
          />
          <Pick
            control={control}
            name="schemeId"
            label={t('coloursOfNewCables')}
            options={schemes.map((scheme) => [scheme.id, scheme.name])}
          />
          <View style={{ gap: 8 }}>
            <Text ink="ink2">{t('placesOfATrayWhereA')}</Text>
            <View style={{ flexDirection: 'row', gap: 12 }}>
              <Field
                control={loose}
                name="trayCapacity.single"
                label={t('singleSleeves')}
                numeric
              />
              <Field control={loose} name="trayCapacity.mass" label={t('ribbonSleeves')} numeric />
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
      <Text>{label}</Text>
      <View style={{ flexDirection: 'row', gap: 12 }}>
        <Field control={loose} name={`${name}.usual`} label={t('usual')} unit={unit} numeric />
        <Field control={loose} name={`${name}.spread`} label={t('spread')} unit={unit} numeric />
        <Field control={loose} name={`${name}.most`} label={t('atMost')} unit={unit} numeric />
      </View>
    </View>
  );
  return (
    <View style={{ gap: 16 }}>
      <Text kind="name" heading={2}>
        {t('lossBudget')}
      </Text>
      <Card style={{ gap: 12 }}>
        {fields.map(({ wavelengthNm }, index) =>
          row(`budget.glass.${index}`, t('fiberAttenuationAtNm', { wavelengthNm }), 'dB/km'),
        )}
        {row('budget.splice', t('aSplice'), 'dB')}
        {row('budget.connector', t('aConnectorPair'), 'dB')}
        <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
          <Field
            control={loose}
            name="budget.connectors"
            label={t('connectorsOnACircuit')}
            numeric
          />
          <Field
            control={loose}
            name="budget.most"
            label={t('powerBudget')}
            unit="dB"
            hint={t('emptyTheMostOfEveryPart')}
            numeric
          />
        </View>
      </Card>
    </View>
  );
}

/** Where schools differ, and what redos cost. */
function PracticeFields({ control }: Pick<Props, 'control'>) {
  const loose = control as unknown as Control<ProjectForm>;
  return (
    <View style={{ gap: 16 }}>
      <Text kind="name" heading={2}>
        {t('practice')}
      </Text>
      <Pick
        control={control}
        name="practice.tubeTool"
        label={t('tubesAreOpenedWith')}
        options={[
          ['scorer', t('fixedDepthScorer')],
          ['stripper', t('wireStripper')],
        ]}
      />
      <Pick
        control={control}
        name="practice.gel"
        label={t('gelComesOff')}
        options={[
          ['at once', t('atOnce')],
          ['after grouping', t('onceGroupsAreToldApart')],
        ]}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Field control={loose} name="practice.trayFiber" label={t('fiberOnATray')} />
        <Field control={loose} name="practice.redoEats" label={t('fiberUsedByARedo')} />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Field control={loose} name="practice.redos" label={t('redosToLeaveSlackFor')} numeric />
        <Field
          control={loose}
          name="practice.redoPercent"
          label={t('redosExpected')}
          unit="%"
          numeric
        />
      </View>
      <Pick
        control={control}
        name="practice.workingLength"
        label={t('workingLength')}
        options={[
          ['mark 30 mm', t('mark30MmBack')],
          ['past the holder', t('cutHalfAnInchPastThe')],
        ]}
      />
      <Pick
        control={control}
        name="practice.dropEnd"
        label={t('theEndOfADrop')}
        options={[
          ['splice-on', t('spliceOnConnector')],
          ['pigtail', 'pigtail'],
          ['mechanical', 'mechanical'],
        ]}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Field
          control={loose}
          name="practice.adhesiveWait"
          label={t('adhesiveIsLeftAlone')}
          unit="s"
          hint={t('oneSchool30STheOther')}
          numeric
        />
        <Field
          control={loose}
          name="practice.noTension"
          label={t('noTensionTestOnSpliceOn')}
          hint={t('emptyTheTestStaysOn')}
        />
        <Field
          control={loose}
          name="practice.leakLimit"
          label={t('aTightClosureFallsByAt')}
          hint={t('inAMinuteAtOneTemperature')}
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
    <Card style={{ gap: 12 }}>
      <Pick
        control={control}
        name="practice.arc.when"
        label={t('theArcIsChecked')}
        options={[
          ['both', t('everySessionAndOnTriggers')],
          ['session', t('everySession')],
          ['triggers', t('onTriggersOnly')],
        ]}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Field control={loose} name="practice.arc.arcs125" label={t('arcsOn125Um')} numeric />
        <Field control={loose} name="practice.arc.arcs400" label={t('arcsOn400Um')} numeric />
        <Field control={loose} name="practice.arc.streak" label={t('highOnesInARow')} numeric />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
        <Field control={loose} name="practice.arc.temperature" label={t('warmerOrColderBy')} />
        <Field
          control={loose}
          name="practice.arc.humidity"
          label={t('humidityBy')}
          unit="%"
          numeric
        />
        <Field control={loose} name="practice.arc.pressure" label={t('airPressureBy')} />
        <Field
          control={loose}
          name="practice.arc.idleDays"
          label={t('notUsedFor')}
          unit="days"
          numeric
        />
      </View>
    </Card>
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
      <Text kind="name" heading={2}>
        {t('limits')}
      </Text>
      <Choice
        label={t('startFrom')}
        value={name}
        options={BUILT_IN_LIMITS.map((limits) => ({ value: limits.name, label: limits.name }))}
        onChange={start}
      />
      <Field control={loose} name="limits.name" label={t('nameOfTheLimits')} />
      <Field control={loose} name="limits.source" label={t('whereTheFiguresComeFrom')} multiline />
      <Controller
        control={control}
        name="limits.grade"
        render={({ field }) => (
          <Choice
            label={t('whatAcceptsASplice')}
            value={field.value}
            options={GRADES.map((grade) => ({ value: grade, label: GRADE_LABELS[grade] }))}
            onChange={field.onChange}
          />
        )}
      />
      <Card style={{ gap: 12 }}>
        <Text ink="ink2">{t('maximumLossOfOneSpliceIn')}</Text>
        {GRADES.map((grade) => (
          <View key={grade} style={{ gap: 4 }}>
            <Text>{GRADE_LABELS[grade]}</Text>
            <View style={{ flexDirection: 'row', gap: 12 }}>
              <Field
                control={loose}
                name={`limits.splice.${grade}.single`}
                label={t('single')}
                unit="dB"
                numeric
              />
              <Field
                control={loose}
                name={`limits.splice.${grade}.mass`}
                label={common('ribbon')}
                unit="dB"
                numeric
              />
            </View>
          </View>
        ))}
      </Card>
      <Card style={{ gap: 12 }}>
        <Text ink="ink2">{t('maximumAverageInDbEmptyFor')}</Text>
        <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
          <Field control={loose} name="limits.mean.fiber" label={t('aFiber')} unit="dB" numeric />
          <Field control={loose} name="limits.mean.tray" label={t('aTray')} unit="dB" numeric />
          <Field
            control={loose}
            name="limits.mean.closure"
            label={t('aClosure')}
            unit="dB"
            numeric
          />
        </View>
      </Card>
      <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
        <Field control={loose} name="limits.maxTries" label={t('maximumAttempts')} numeric />
        <Field
          control={loose}
          name="limits.wavelengths"
          label={t('wavelengths')}
          unit="nm"
          hint={t('suchAs13101550')}
        />
      </View>
    </View>
  );
}
