import { useState } from 'react';
import { View } from 'react-native';
import { BUILT_IN_INSTRUMENTS, type Instrument, instrumentSchema } from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { kitShared as shared } from '@cordel/text/pages/kit/shared';
import { instrumentsPage as t } from '@cordel/text/pages/kit/InstrumentsPage';
import { errorText, issueText } from '@cordel/text/record';
import { useStation } from '@/bench/useStation';
import { outbox } from '@/data/client';
import { useMergedSave } from '@/data/useMergedSave';
import { CleaverFields, SplicerFields } from './InstrumentFields';
import { FormActions } from '@/ui/FormActions';
import { useProjectView } from '@/projects/context';
import { ArchivedList } from '@/removal/ArchivedList';
import { RemovalNotice } from '@/removal/RemovalNotice';
import { RemoveKeys } from '@/removal/RemoveKeys';
import { removable } from '@/removal/removables';
import { useRemoval } from '@/removal/useRemoval';
import { Grid, GridRow } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';

const isBuiltIn = ({ id }: Instrument) => BUILT_IN_INSTRUMENTS.some((built) => built.id === id);

const saysOf = (one: Instrument): string =>
  one.kind === 'splicer'
    ? t('programsHeaterHoldersCleaveMm', {
        programs: one.programs.map(({ name }) => name).join(', '),
        heaterPrograms: one.heaterPrograms.map(({ name }) => name).join(', '),
        holders: one.holders.join(', '),
        cleaveLengths: one.cleaveLengths.map((length) => length / 10).join(', '),
      })
    : t('cutsMmPlacesOfTheBlade', {
        cleaveLengths: one.cleaveLengths.map((length) => length / 10).join(', '),
        positions: one.positions,
        cleaves: one.cleaves,
      });

/** Splicers and cleavers: those that ship, to be copied, and one's own by their sheets. */
export function InstrumentsPage() {
  const { project, isArchived } = useProjectView();
  const removal = useRemoval();
  const { instruments } = useStation(project.id);
  const [open, setOpen] = useState<string | null>(null);
  return (
    <Page
      title={shared('instruments')}
      above={project.name}
      back={`/p/${project.id}/kit`}
      needs="record"
    >
      <Notice>{t('theInstrumentsOwnSheetWinsCopy')}</Notice>
      <RemovalNotice removal={removal} />
      <Grid least={420} gap={16}>
        {instruments
          .filter((one) => !isArchived(one))
          .map((one) =>
            open === one.id ? (
              <GridRow key={one.id}>
                <InstrumentForm instrument={one} onDone={() => setOpen(null)} />
              </GridRow>
            ) : (
              <Card key={one.id} style={{ gap: 8 }}>
                <Text kind="name" heading={2}>
                  {one.name}
                </Text>
                <Text>{saysOf(one)}</Text>
                <Text color="ink2">{one.source}</Text>
                <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
                  {isBuiltIn(one) ? null : (
                    <Button
                      label={shared('editName', { name: one.name })}
                      onPress={() => setOpen(one.id)}
                    />
                  )}
                  <Button
                    label={shared('copyName', { name: one.name })}
                    onPress={() => {
                      const copy = {
                        ...one,
                        id: uuid(),
                        name: shared('nameCopy', { name: one.name }),
                      };
                      void save(copy).then(() => setOpen(copy.id));
                    }}
                  />
                </View>
                {isBuiltIn(one) ? null : (
                  <RemoveKeys removal={removal} item={removable('instrument', one)} />
                )}
              </Card>
            ),
          )}
      </Grid>
      <ArchivedList
        removal={removal}
        items={instruments.filter(isArchived).map((one) => removable('instrument', one))}
      />
    </Page>
  );
}

/** Saves an instrument; gives what is wrong in words, or nothing. */
async function save(instrument: Instrument): Promise<string> {
  const label = t('instrumentName', { name: instrument.name });
  const outcome = await outbox.add(commands.saveInstrument, instrument, label);
  return 'refused' in outcome ? errorText(outcome.refused) : '';
}

function InstrumentForm({ instrument, onDone }: { instrument: Instrument; onDone(): void }) {
  const saveMerged = useMergedSave(commands.saveInstrument, instrument);
  const [draft, setDraft] = useState(instrument);
  const [problem, setProblem] = useState('');
  const change = (part: Partial<Instrument>) => setDraft({ ...draft, ...part } as Instrument);
  const submit = async () => {
    const read = instrumentSchema.safeParse(draft);
    if (!read.success) {
      const [issue] = read.error.issues;
      return setProblem(`${issue!.path.join(', ')}: ${issueText(issue!)}`);
    }
    const outcome = await saveMerged(read.data, t('instrumentName', { name: read.data.name }));
    setProblem(outcome);
    if (outcome === '') onDone();
  };
  return (
    <Card style={{ gap: 12 }}>
      <TextField
        label={t('nameOfTheInstrument')}
        value={draft.name}
        onChange={(name) => change({ name })}
      />
      <TextField
        label={shared('whereItsFiguresComeFrom')}
        value={draft.source}
        onChange={(source) => change({ source })}
      />
      {draft.kind === 'splicer' ? (
        <SplicerFields splicer={draft} onChange={change} />
      ) : (
        <CleaverFields cleaver={draft} onChange={change} />
      )}
      <FormActions
        saveLabel={t('saveTheInstrument')}
        closeLabel={shared('closeWithoutSaving')}
        problem={problem}
        problemWord={shared('notSaved')}
        onSave={() => void submit()}
        onClose={onDone}
      />
    </Card>
  );
}
