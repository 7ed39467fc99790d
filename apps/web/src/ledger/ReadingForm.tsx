import { Controller, useForm } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import {
  MOST_READING,
  type Splice,
  type SpliceState,
  formatLoss,
  parseLoss,
  personSchema,
  newReading,
} from '@cordel/core';
import { lossProblemText } from '@cordel/text/measure';
import { ledgerShared as shared } from '@cordel/text/pages/ledger/shared';
import { readingForm as t } from '@cordel/text/pages/ledger/ReadingForm';
import { newStamp, recordEvidence } from '@/bench/record';
import { usePerson } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { Choice, Field } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Button } from '@/ui/Button';
import { formResolver } from '@/ui/formResolver';

const KINDS = {
  AB: shared('aToB'),
  BA: shared('bToA'),
  'two-way': t('twoWayAverage'),
  insertion: t('insertion'),
} as const;
type Kind = keyof typeof KINDS;

const formSchema = z.object({
  by: personSchema,
  nm: z.string(),
  kind: z.enum(['AB', 'BA', 'two-way', 'insertion']),
  loss: z.string().transform((text, context): number => {
    const loss = parseLoss(text, MOST_READING);
    if (loss.ok) return loss.value;
    context.addIssue({ code: 'custom', message: lossProblemText(loss.error) });
    return z.NEVER;
  }),
});

/** A measured figure of one splice, typed. */
export function ReadingForm({ splice, spliceState }: { splice: Splice; spliceState: SpliceState }) {
  const { project, fiberName } = useProjectView();
  const [person, setPerson, isSignedIn] = usePerson();
  const { control, handleSubmit, resetField } = useForm<
    z.input<typeof formSchema>,
    unknown,
    z.output<typeof formSchema>
  >({
    resolver: formResolver(formSchema),
    defaultValues: {
      by: person,
      nm: String(project.limits.wavelengths[0]),
      kind: splice.end ? 'insertion' : 'AB',
      loss: '',
    },
  });
  const save = handleSubmit(({ by, nm, kind, loss }) => {
    setPerson(by);
    const oneWay = kind === 'AB' || kind === 'BA';
    const figure = {
      grade: oneWay ? ('one-way' as const) : kind,
      direction: oneWay ? kind : null,
      wavelengthNm: Number(nm),
      lossMdb: loss,
    };
    recordEvidence(
      [newReading(newStamp(), splice.id, spliceState.tries.at(-1)?.tryId ?? null, figure)],
      t('dbAtNm', {
        fiberName: fiberName(splice.cableA, splice.fiberA, splice.legA),
        loss: formatLoss(loss),
        nm,
      }),
    );
    resetField('loss');
  });
  return (
    <Card style={{ gap: 12 }}>
      <Controller
        control={control}
        name="nm"
        render={({ field }) => (
          <Choice
            label={t('wavelength')}
            value={field.value}
            options={project.limits.wavelengths.map((nm) => ({
              value: String(nm),
              label: `${nm} nm`,
            }))}
            onChange={field.onChange}
          />
        )}
      />
      <Controller
        control={control}
        name="kind"
        render={({ field }) => (
          <Choice
            label={t('figure')}
            value={field.value}
            options={Object.entries(KINDS).map(([value, label]) => ({
              value: value as Kind,
              label,
            }))}
            onChange={field.onChange}
          />
        )}
      />
      <View style={{ flexDirection: 'row', gap: 12, flexWrap: 'wrap' }}>
        <Field
          control={control as never}
          name="loss"
          label={t('loss')}
          unit="dB"
          numeric
          hint={t('aGainWithAMinusSuch')}
        />
        {isSignedIn ? null : <Field control={control as never} name="by" label={t('measuredBy')} />}
      </View>
      <Button label={shared('recordIt')} look="next" onPress={() => void save()} />
    </Card>
  );
}
