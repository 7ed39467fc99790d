import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import { type Reference, formatLoss, issue, parseThousandths } from '@cordel/core';
import { meterProblemText } from '@cordel/text/links';
import { linksPages as t } from '@cordel/text/pages/links/links';
import { readKept, usePersisted } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { useClock } from '@/projects/useClock';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { FormFields } from '@/ui/FormFields';
import { formResolver } from '@/ui/formResolver';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { recordLinks } from './useLinks';

interface ReferencePartProps {
  nm: number;
  reference: Reference | null;
  isOpen: boolean;
  setOpen(open: boolean): void;
}

/** What links are measured against: the reference at a wavelength, and a form to take it. */
export function ReferencePart({ nm, reference, isOpen, setOpen }: ReferencePartProps) {
  const { moment } = useClock();
  return (
    <Card style={{ gap: 10 }}>
      <Text kind="name" heading={2}>
        {t('reference')}
      </Text>
      {reference ? (
        <Text>
          <Text kind="strong">
            {t('referenceAt', {
              power: `${formatLoss(reference.powerMdbm)} dBm`,
              wavelengthNm: nm,
              source: reference.source,
              meter: reference.meter,
              cords: reference.cords,
            })}
          </Text>
          {` ${t('takenBy', { by: reference.by, moment: moment(reference.at) })} `}
          {reference.calibratedUntil === null
            ? t('calibrationUnknown')
            : t('calibratedUntilDate', { date: reference.calibratedUntil })}
        </Text>
      ) : (
        <Notice>{t('noReferenceAt', { wavelengthNm: nm })}</Notice>
      )}
      {isOpen ? <ReferenceForm nm={nm} onDone={() => setOpen(false)} /> : null}
      <Button
        label={reference ? t('takeItAnew') : t('takeAReference')}
        look={reference || isOpen ? 'plain' : 'next'}
        aria-expanded={isOpen}
        onPress={() => setOpen(!isOpen)}
      />
    </Card>
  );
}

const powerSchema = z.string().transform((text, context): number => {
  const power = parseThousandths(text);
  if (power.ok) return power.value;
  context.addIssue({ code: 'custom', message: meterProblemText(power.error) });
  return z.NEVER;
});

const nameSchema = z.string().trim().min(1, issue('instrumentNameMissing'));

const formSchema = z.object({
  source: nameSchema,
  meter: nameSchema,
  calibratedUntil: z.string().transform((text, context): string | null => {
    const bare = text.trim();
    if (bare === '') return null;
    if (z.iso.date().safeParse(bare).success) return bare;
    context.addIssue({ code: 'custom', message: issue('notDate') });
    return z.NEVER;
  }),
  cords: z.enum(['1', '2', '3']),
  power: powerSchema,
});

type Typed = z.input<typeof formSchema>;

const EMPTY: Typed = { source: '', meter: '', calibratedUntil: '', cords: '1', power: '' };

/** Source, meter and what it reads through the cords alone; the instruments stay filled in for the next one. */
function ReferenceForm({ nm, onDone }: { nm: number; onDone(): void }) {
  const { project } = useProjectView();
  const [kept, setKept] = usePersisted('cordel.link-instruments', '');
  const { control, handleSubmit } = useForm<Typed, unknown, z.output<typeof formSchema>>({
    resolver: formResolver(formSchema),
    defaultValues: { ...EMPTY, ...readKept<Partial<Typed>>(kept, {}), power: '' },
  });
  const save = handleSubmit(({ power, cords, ...instruments }) => {
    const { source, meter, calibratedUntil } = instruments;
    setKept(JSON.stringify({ source, meter, calibratedUntil: calibratedUntil ?? '', cords }));
    recordLinks(
      project.id,
      [
        {
          kind: 'reference',
          ...instruments,
          wavelengthNm: nm,
          cords: Number(cords),
          powerMdbm: power,
          origin: 'typed',
        },
      ],
      t('aReferenceAt', { wavelengthNm: nm }),
    );
    onDone();
  });
  return (
    <View style={{ gap: 12 }}>
      <Text>{t('lookAfterConnectors')}</Text>
      <FormFields
        control={control as never}
        rows={
          [
            [
              { name: 'source', label: t('source') },
              { name: 'meter', label: t('meter') },
            ],
            { name: 'calibratedUntil', label: t('calibratedUntil'), hint: t('dateHint') },
            {
              name: 'cords',
              label: t('cords'),
              options: [
                ['1', t('oneCord')],
                ['2', t('twoCords')],
                ['3', t('threeCords')],
              ],
            },
            { name: 'power', label: t('meterReads'), unit: 'dBm', numeric: true },
          ] as never
        }
      />
      <Button label={t('saveTheReference')} look="next" onPress={() => void save()} />
    </View>
  );
}
