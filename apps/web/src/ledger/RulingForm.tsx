import { Controller, useForm, useWatch } from 'react-hook-form';
import { z } from 'zod';
import { type Splice, type SpliceState, personSchema, reasonSchema, newRuling } from '@cordel/core';
import { rulingForm as t } from '@cordel/text/pages/ledger/RulingForm';
import { common } from '@cordel/text/pages/common';
import { ledgerShared as shared } from '@cordel/text/pages/ledger/shared';
import { newStamp, recordEvidence } from '@/bench/record';
import { usePerson } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { Choice, Field } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { formResolver } from '@/ui/formResolver';

const formSchema = z.object({
  by: personSchema,
  kind: z.enum(['waive', 'redo', 'skip', 'dead', 'reopen', 'retire']),
  why: reasonSchema,
});
type RulingValues = z.infer<typeof formSchema>;

const SAID: Record<RulingValues['kind'], string> = {
  waive: 'accepted',
  redo: t('toRedo'),
  skip: 'skipped',
  dead: 'dead',
  reopen: t('takenBack'),
  retire: 'removed',
};

/** A person's word on a splice: accept, redo, skip, dead or removed, or taking one back. Who and why are asked for. */
export function RulingForm({
  splice,
  spliceState,
  onDone,
}: {
  splice: Splice;
  spliceState: SpliceState;
  onDone(): void;
}) {
  const { fiberName } = useProjectView();
  const [person, setPerson, isSignedIn] = usePerson();
  const standsNow = spliceState.ruling !== null;
  const { control, handleSubmit } = useForm<RulingValues>({
    resolver: formResolver(formSchema),
    defaultValues: {
      by: person,
      kind: standsNow ? 'reopen' : spliceState.tries.length > 0 ? 'waive' : 'skip',
      why: '',
    },
  });
  const kind = useWatch({ control, name: 'kind' });
  const save = handleSubmit(({ by, kind: decided, why }) => {
    setPerson(by);
    const ruling = newRuling(
      newStamp(),
      splice.id,
      spliceState.tries.at(-1)?.tryId ?? null,
      decided,
      why,
    );
    recordEvidence(
      [ruling],
      `${fiberName(splice.cableA, splice.fiberA, splice.legA)}: ${SAID[decided]}`,
    );
    onDone();
  });
  return (
    <Card style={{ gap: 12 }}>
      {standsNow ? null : (
        <Controller
          control={control}
          name="kind"
          render={({ field }) => (
            <Choice
              label={t('whatIsDecided')}
              value={field.value}
              options={[
                ...(spliceState.tries.length > 0
                  ? [
                      { value: 'waive' as const, label: t('acceptItAsItIs') },
                      { value: 'redo' as const, label: t('sendItToRedo') },
                    ]
                  : []),
                { value: 'skip', label: t('skipSpliceItLater') },
                { value: 'dead', label: t('deadNotSpliced') },
                ...(spliceState.tries.length > 0
                  ? [{ value: 'retire' as const, label: t('removedItIsNoMore') }]
                  : []),
              ]}
              onChange={field.onChange}
            />
          )}
        />
      )}
      {kind === 'retire' ? (
        <Notice word={t('forGood')}>{t('itsRecordStaysItsFibersAnd')}</Notice>
      ) : null}
      <Field control={control} name="why" label={common('why')} multiline />
      {isSignedIn ? null : <Field control={control} name="by" label={t('whoDecides')} />}
      <Button
        label={standsNow ? t('takeItBack') : shared('recordIt')}
        look="next"
        onPress={() => void save()}
      />
    </Card>
  );
}
