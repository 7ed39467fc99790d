import { useMemo, useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import {
  type Closure,
  formatDistance,
  nameSchema,
  parseDistance,
  spellDistance,
  type DistanceUnit,
  type Tray,
} from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { distanceProblemText } from '@cordel/text/measure';
import { kitShared as shared } from '@cordel/text/pages/kit/shared';
import { closuresPage as t } from '@cordel/text/pages/kit/ClosuresPage';
import { common } from '@cordel/text/pages/common';
import { useMergedSave } from '@/data/useMergedSave';
import { useProjectView } from '@/projects/context';
import { Select } from '@/ui/Select';
import { HardwareForMany } from './HardwareForMany';
import { type ClosureSort, SORTS, sortClosures, useHardwareNames } from './closureSorts';
import { Choice, Field } from '@/ui/Field';
import { ArchivedList } from '@/removal/ArchivedList';
import { RemovalNotice } from '@/removal/RemovalNotice';
import { RemoveKeys } from '@/removal/RemoveKeys';
import { removableClosure } from '@/removal/removables';
import { type Removal, useRemoval } from '@/removal/useRemoval';
import { Grid, GridRow } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { Empty, Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { formResolver } from '@/ui/formResolver';

/** The project's closures: where each hangs and how many trays it has. */
export function ClosuresPage() {
  const { project, closures, assemblies, isArchived } = useProjectView();
  const removal = useRemoval();
  const [open, setOpen] = useState<string | null>(null);
  const [sort, setSort] = useState<ClosureSort>('route');
  const hardwareOf = useHardwareNames();
  const sorted = sortClosures(closures, sort, hardwareOf);
  const shown = sorted.filter((closure) => !isArchived(closure));
  return (
    <Page
      title={shared('closures')}
      above={project.name}
      back={`/p/${project.id}/kit`}
      needs="decide"
    >
      <RemovalNotice removal={removal} />
      {closures.length === 0 ? (
        <Empty title={t('noClosureYet')}>{t('importingASpliceListAddsIts')}</Empty>
      ) : null}
      {shown.length > 1 ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <Select
            label={t('order')}
            value={sort}
            options={SORTS.map((value) => ({ value, label: t(SORT_WORDS[value]) }))}
            onChange={(value) => setSort(value as ClosureSort)}
          />
          <HardwareForMany closures={shown} hardwareOf={hardwareOf} />
        </View>
      ) : null}
      <Grid>
        {shown.map((closure) =>
          open === closure.id ? (
            <GridRow key={closure.id}>
              <ClosureForm closure={closure} removal={removal} onDone={() => setOpen(null)} />
            </GridRow>
          ) : (
            <Button
              key={closure.id}
              onPress={() => setOpen(closure.id)}
              style={{ justifyContent: 'flex-start' }}
            >
              <View style={{ gap: 2, paddingVertical: 4 }}>
                <Text kind="name">{closure.name}</Text>
                <Text color="ink2">
                  {t('distanceTrays', {
                    distance:
                      closure.distance === null
                        ? common('noDistance')
                        : formatDistance(closure.distance, project.units.distance),
                    trays: closure.trays.length,
                  })}
                  {` · ${hardwareOf(closure.id) || t('noHardware')}`}
                </Text>
              </View>
            </Button>
          ),
        )}
      </Grid>
      {open === 'new' ? (
        <ClosureForm removal={removal} onDone={() => setOpen(null)} />
      ) : (
        <Button label={t('addAClosure')} look="next" onPress={() => setOpen('new')} />
      )}
      <ArchivedList
        removal={removal}
        items={sorted.filter(isArchived).map((closure) => removableClosure(closure, assemblies))}
      />
    </Page>
  );
}

const SORT_WORDS = {
  route: 'routeOrder',
  name: 'byName',
  trays: 'byTrays',
  hardware: 'byHardware',
} as const satisfies Record<ClosureSort, string>;

const countOf = (least: number, most: number) =>
  z.string().transform((text, context): number => {
    const value = /^\d+$/.test(text.trim()) ? Number(text) : Number.NaN;
    if (value >= least && value <= most) return value;
    context.addIssue({ code: 'custom', message: t('aWholeNumberFromTo', { least, most }) });
    return z.NEVER;
  });

const formSchema = (unit: DistanceUnit) =>
  z.object({
    name: nameSchema,
    distance: z.string().transform((text, context): number | null => {
      if (text.trim() === '') return null;
      const read = parseDistance(text, unit);
      if (read.ok) return read.value;
      context.addIssue({ code: 'custom', message: distanceProblemText(read.error) });
      return z.NEVER;
    }),
    branchOf: z.string(),
    trays: countOf(0, 200),
    single: countOf(0, 96),
    mass: countOf(0, 24),
  });

type ClosureValues = z.input<ReturnType<typeof formSchema>>;
type ReadClosure = z.output<ReturnType<typeof formSchema>>;

function ClosureForm({
  closure,
  removal,
  onDone,
}: {
  closure?: Closure;
  removal: Removal;
  onDone(): void;
}) {
  const { project, closures, assemblies } = useProjectView();
  const unit = project.units.distance;
  const [problem, setProblem] = useState('');
  const saveMerged = useMergedSave(commands.saveClosure, closure);
  const resolver = useMemo(() => formResolver(formSchema(unit)), [unit]);
  const first = closure?.trays[0] ?? project.trayCapacity;
  const { control, handleSubmit } = useForm<ClosureValues, unknown, ReadClosure>({
    resolver,
    defaultValues: {
      name: closure?.name ?? '',
      distance: closure?.distance == null ? '' : spellDistance(closure.distance, unit),
      branchOf: closure?.branchOf ?? '',
      trays: String(closure?.trays.length ?? 0),
      single: String(first.single),
      mass: String(first.mass),
    },
  });
  const save = handleSubmit(async (form) => {
    const ordinal = closure?.ordinal ?? Math.max(-1, ...closures.map((entry) => entry.ordinal)) + 1;
    const record: Closure = {
      id: closure?.id ?? uuid(),
      projectId: project.id,
      name: form.name,
      ordinal,
      distance: form.distance,
      branchOf: form.branchOf || null,
      position: closure?.position ?? null,
      trays: traysFor(form.trays, { single: form.single, mass: form.mass }),
    };
    setProblem(shared('beingSaved'));
    const refused = await saveMerged(record, shared('closureName', { name: record.name }));
    setProblem(refused);
    if (refused === '') onDone();
  });
  const loose = control as never;
  const others = closures.filter((entry) => entry.id !== closure?.id);
  return (
    <Card style={{ gap: 12 }}>
      <Field control={loose} name="name" label={t('closureName')} />
      <Field
        control={loose}
        name="distance"
        label={t('distanceFromTheStart')}
        hint={t('suchAs124300M', { unit })}
      />
      <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
        <Field control={loose} name="trays" label={common('trays')} numeric />
        <Field control={loose} name="single" label={shared('singleSleevesATray')} numeric />
        <Field control={loose} name="mass" label={shared('ribbonSleevesATray')} numeric />
      </View>
      {others.length > 0 ? (
        <Controller
          control={control}
          name="branchOf"
          render={({ field }) => (
            <Choice
              label={t('branchesOffFrom')}
              value={field.value}
              options={[
                { value: '', label: t('mainRoute') },
                ...others.map((entry) => ({ value: entry.id, label: entry.name })),
              ]}
              onChange={field.onChange}
            />
          )}
        />
      ) : null}
      {problem ? <Notice live>{problem}</Notice> : null}
      <View style={{ flexDirection: 'row', gap: 8 }}>
        <Button
          label={shared('save')}
          look="next"
          onPress={() => void save()}
          style={{ flex: 1 }}
        />
        <Button label={common('close')} onPress={onDone} />
      </View>
      {closure ? (
        <RemoveKeys
          removal={removal}
          item={removableClosure(closure, assemblies)}
          onGone={onDone}
        />
      ) : null}
    </Card>
  );
}

const traysFor = (count: number, capacity: Omit<Tray, 'number'>): Tray[] =>
  Array.from({ length: count }, (_, index) => ({ number: index + 1, ...capacity }));
