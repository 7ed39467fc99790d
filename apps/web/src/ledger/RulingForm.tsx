import { zodResolver } from '@hookform/resolvers/zod';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { z } from 'zod';
import { type Splice, type Standing, personSchema, reasonSchema } from '@cordel/core';
import { newRuling, recordEvidence } from '@/bench/record';
import { usePerson } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { Choice, Field } from '@/ui/Field';
import { Leaf } from '@/ui/Leaf';
import { Notice } from '@/ui/Notice';
import { Press } from '@/ui/Press';

const formSchema = z.object({
  by: personSchema,
  kind: z.enum(['waive', 'redo', 'skip', 'dead', 'reopen', 'retire']),
  why: reasonSchema,
});
type RulingValues = z.infer<typeof formSchema>;

const SAID: Record<RulingValues['kind'], string> = {
  waive: 'accepted',
  redo: 'to redo',
  skip: 'skipped',
  dead: 'dead',
  reopen: 'taken back',
  retire: 'removed',
};

/** A person's word on a splice: accept, redo, skip, dead or removed, or taking one back. Who and why are asked for. */
export function RulingForm({
  splice,
  standing,
  onDone,
}: {
  splice: Splice;
  standing: Standing;
  onDone(): void;
}) {
  const { fiberName } = useProjectView();
  const [person, setPerson] = usePerson();
  const standsNow = standing.ruling !== null;
  const { control, handleSubmit } = useForm<RulingValues>({
    resolver: zodResolver(formSchema),
    defaultValues: {
      by: person,
      kind: standsNow ? 'reopen' : standing.tries.length > 0 ? 'waive' : 'skip',
      why: '',
    },
  });
  const kind = useWatch({ control, name: 'kind' });
  const save = handleSubmit(({ by, kind: decided, why }) => {
    setPerson(by);
    const ruling = newRuling(splice.id, standing.tries.at(-1)?.tryId ?? null, decided, why);
    recordEvidence([ruling], `${fiberName(splice.cableA, splice.fiberA)}: ${SAID[decided]}`);
    onDone();
  });
  return (
    <Leaf style={{ gap: 12 }}>
      {standsNow ? null : (
        <Controller
          control={control}
          name="kind"
          render={({ field }) => (
            <Choice
              label="What is decided"
              value={field.value}
              options={[
                ...(standing.tries.length > 0
                  ? [
                      { value: 'waive' as const, label: 'Accept it as it is' },
                      { value: 'redo' as const, label: 'Send it to redo' },
                    ]
                  : []),
                { value: 'skip', label: 'Skip: splice it later' },
                { value: 'dead', label: 'Dead: not spliced' },
                ...(standing.tries.length > 0
                  ? [{ value: 'retire' as const, label: 'Removed: it is no more' }]
                  : []),
              ]}
              onChange={field.onChange}
            />
          )}
        />
      )}
      {kind === 'retire' ? (
        <Notice word="For good.">
          Its record stays; its fibers and its slot are free. To join them again, plan a new splice.
        </Notice>
      ) : null}
      <Field control={control} name="why" label="Why" multiline />
      <Field control={control} name="by" label="Who decides" />
      <Press
        label={standsNow ? 'Take it back' : 'Record it'}
        look="next"
        onPress={() => void save()}
      />
    </Leaf>
  );
}
