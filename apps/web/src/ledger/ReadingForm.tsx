import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import {
  MOST_READING,
  type Splice,
  type Standing,
  formatLoss,
  parseLoss,
  personSchema,
} from '@cordel/core';
import { lossProblemText } from '@cordel/text/measure';
import { newReading, recordEvidence } from '@/bench/record';
import { usePerson } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { Choice, Field } from '@/ui/Field';
import { Leaf } from '@/ui/Leaf';
import { Press } from '@/ui/Press';

const KINDS = {
  AB: 'A to B',
  BA: 'B to A',
  'two-way': 'Two-way average',
  insertion: 'Insertion',
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
export function ReadingForm({ splice, standing }: { splice: Splice; standing: Standing }) {
  const { project, fiberName } = useProjectView();
  const [person, setPerson] = usePerson();
  const { control, handleSubmit, resetField } = useForm<
    z.input<typeof formSchema>,
    unknown,
    z.output<typeof formSchema>
  >({
    resolver: zodResolver(formSchema),
    defaultValues: { by: person, nm: String(project.limits.wavelengths[0]), kind: 'AB', loss: '' },
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
      [newReading(splice.id, standing.tries.at(-1)?.tryId ?? null, figure)],
      `${fiberName(splice.cableA, splice.fiberA)}: ${formatLoss(loss)} dB at ${nm} nm`,
    );
    resetField('loss');
  });
  return (
    <Leaf style={{ gap: 12 }}>
      <Controller
        control={control}
        name="nm"
        render={({ field }) => (
          <Choice
            label="Wavelength"
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
            label="Figure"
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
          label="Loss"
          unit="dB"
          numeric
          hint="A gain with a minus, such as -0.05"
        />
        <Field control={control as never} name="by" label="Measured by" />
      </View>
      <Press label="Record it" look="next" onPress={() => void save()} />
    </Leaf>
  );
}
