import {
  type Control,
  Controller,
  type UseFormSetValue,
  useFieldArray,
  useWatch,
} from 'react-hook-form';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { BUILT_IN_LIMITS, type ColourScheme, GRADES } from '@cordel/core';
import { projectFields as t } from '@cordel/text/pages/projects/ProjectFields';
import { projectsShared as shared } from '@cordel/text/pages/projects/shared';
import { Choice, Field } from '@/ui/Field';
import { FormFields } from '@/ui/FormFields';
import { Grid } from '@/ui/Grid';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Text } from '@/ui/Text';
import { UnitFields } from './UnitFields';
import {
  ARC_FIELDS,
  BUDGET_FIELDS,
  GRADE_LABELS,
  END_LIMIT_FIELDS,
  LIMIT_FIELDS,
  MEAN_LIMIT_FIELDS,
  MEASURING_FIELDS,
  PRACTICE_FIELDS,
  TRAY_FIELDS,
  partFields,
  spliceLimitFields,
} from './fields';
import { type ProjectForm, type ReadProjectForm, limitsForm } from './projectForm';

interface Props {
  control: Control<ProjectForm, unknown, ReadProjectForm>;
  setValue: UseFormSetValue<ProjectForm>;
  schemes: readonly ColourScheme[];
  /** Whether all but name and units is folded: everything has a usual value. */
  folded?: boolean;
  /** Enter in the name. */
  onEnter?(): void;
}

/** All settings of a project: name, units, colors, trays, limits. */
export function ProjectFields({ control, setValue, schemes, folded = false, onEnter }: Props) {
  const loose = control as unknown as Control<ProjectForm>;
  const [open, setOpen] = useState(!folded);
  if (!open)
    return (
      <View style={{ gap: 20, maxWidth: 620 }}>
        <Field control={loose} name="name" label={t('projectName')} onEnter={onEnter} autoFocus />
        <UnitFields control={control} />
        <Button label={t('showAllSettings')} aria-expanded={false} onPress={() => setOpen(true)} />
      </View>
    );
  return (
    <View style={{ gap: 28 }}>
      <Grid least={460} gap={28}>
        <View style={{ gap: 20 }}>
          <Field control={loose} name="name" label={t('projectName')} onEnter={onEnter} />
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
                <Text kind="small" color="ink2">
                  {t('simulatorsWorkInPracticeProjects')}
                </Text>
              </View>
            )}
          />
          <FormFields
            control={loose}
            rows={[
              {
                name: 'schemeId',
                label: t('coloursOfNewCables'),
                options: schemes.map(({ id, name }) => [id, name] as const),
              },
            ]}
          />
          <View style={{ gap: 8 }}>
            <Text color="ink2">{t('placesOfATrayWhereA')}</Text>
            <FormFields control={loose} rows={TRAY_FIELDS} />
          </View>
        </View>
        <UnitFields control={control} />
      </Grid>
      <Grid least={460} gap={28}>
        <LimitFields control={control} setValue={setValue} />
        <View style={{ gap: 28 }}>
          <BudgetFields control={loose} />
          <Group title={t('practice')}>
            <FormFields control={loose} rows={PRACTICE_FIELDS} />
            <Card style={{ gap: 12 }}>
              <FormFields control={loose} rows={ARC_FIELDS} />
            </Card>
          </Group>
        </View>
      </Grid>
    </View>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View style={{ gap: 16 }}>
      <Text kind="name" heading={2}>
        {title}
      </Text>
      {children}
    </View>
  );
}

/** Fields under what they are of. */
function Part({ label, children }: { label: string; children: ReactNode }) {
  return (
    <View style={{ gap: 4 }}>
      <Text>{label}</Text>
      {children}
    </View>
  );
}

/** What fibers, splices and connectors are expected to lose. */
function BudgetFields({ control }: { control: Control<ProjectForm> }) {
  const { fields } = useFieldArray({ control, name: 'budget.glass' });
  return (
    <Group title={t('lossBudget')}>
      <Card style={{ gap: 12 }}>
        {fields.map(({ wavelengthNm }, index) => (
          <Part key={wavelengthNm} label={t('fiberAttenuationAtNm', { wavelengthNm })}>
            <FormFields control={control} rows={partFields(`budget.glass.${index}`, 'dB/km')} />
          </Part>
        ))}
        <Part label={t('aSplice')}>
          <FormFields control={control} rows={partFields('budget.splice', 'dB')} />
        </Part>
        <Part label={t('aConnectorPair')}>
          <FormFields control={control} rows={partFields('budget.connector', 'dB')} />
        </Part>
        <FormFields control={control} rows={BUDGET_FIELDS} />
      </Card>
    </Group>
  );
}

function LimitFields({ control, setValue }: Pick<Props, 'control' | 'setValue'>) {
  const loose = control as unknown as Control<ProjectForm>;
  const name = useWatch({ control, name: 'limits.name' });
  const start = (chosen: string) => {
    const limits = BUILT_IN_LIMITS.find((entry) => entry.name === chosen);
    if (limits) setValue('limits', limitsForm(limits), { shouldValidate: true, shouldDirty: true });
  };
  return (
    <Group title={t('limits')}>
      <Choice
        label={t('startFrom')}
        value={name}
        options={BUILT_IN_LIMITS.map((limits) => ({ value: limits.name, label: limits.name }))}
        onChange={start}
      />
      <FormFields control={loose} rows={LIMIT_FIELDS} />
      <Card style={{ gap: 12 }}>
        <Text color="ink2">{t('maximumLossOfOneSpliceIn')}</Text>
        {GRADES.map((grade) => (
          <Part key={grade} label={GRADE_LABELS[grade]}>
            <FormFields control={loose} rows={spliceLimitFields(grade)} />
          </Part>
        ))}
      </Card>
      <Card style={{ gap: 12 }}>
        <Text color="ink2">{t('maximumLossOfAnEnd')}</Text>
        <FormFields control={loose} rows={END_LIMIT_FIELDS} />
      </Card>
      <Card style={{ gap: 12 }}>
        <Text color="ink2">{t('maximumAverageInDbEmptyFor')}</Text>
        <FormFields control={loose} rows={MEAN_LIMIT_FIELDS} />
      </Card>
      <FormFields control={loose} rows={MEASURING_FIELDS} />
    </Group>
  );
}
