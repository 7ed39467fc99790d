import { useState } from 'react';
import { View } from 'react-native';
import { HelperText, TextInput } from 'react-native-paper';
import { BUILT_IN_INSTRUMENTS, type Instrument, instrumentSchema } from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { useStation } from '@/bench/useStation';
import { outbox } from '@/data/client';
import { useProjectView } from '@/projects/context';
import { ArchivedList } from '@/removal/ArchivedList';
import { RemovalNotice } from '@/removal/RemovalNotice';
import { RemoveKeys } from '@/removal/RemoveKeys';
import { removable } from '@/removal/removables';
import { useRemoval } from '@/removal/useRemoval';
import { Grid, GridRow } from '@/ui/Grid';
import { Leaf } from '@/ui/Leaf';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { TextField } from '@/ui/TextField';
import { Txt } from '@/ui/Txt';

const isBuiltIn = ({ id }: Instrument) => BUILT_IN_INSTRUMENTS.some((built) => built.id === id);

const saysOf = (one: Instrument): string =>
  one.kind === 'splicer'
    ? `Programs ${one.programs.map(({ name }) => name).join(', ')}; heater ${one.heaterPrograms.map(({ name }) => name).join(', ')}; holders ${one.holders.join(', ')}; cleave ${one.cleaveLengths.map((length) => length / 10).join(', ')} mm.`
    : `Cuts ${one.cleaveLengths.map((length) => length / 10).join(', ')} mm; ${one.positions} places of the blade, ${one.cleaves} fibers each.`;

/** Splicers and cleavers: those that ship, to be copied, and one's own by their sheets. */
export function InstrumentsPage() {
  const { project, isArchived } = useProjectView();
  const removal = useRemoval();
  const { instruments } = useStation(project.id);
  const [open, setOpen] = useState<string | null>(null);
  return (
    <Page title="Instruments" above={project.name} back={`/p/${project.id}/kit`}>
      <Notice>
        The instrument’s own sheet wins. Copy the one that is nearest, and set its figures.
      </Notice>
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
              <Leaf key={one.id} style={{ gap: 8 }}>
                <Txt kind="name" heading={2}>
                  {one.name}
                </Txt>
                <Txt>{saysOf(one)}</Txt>
                <Txt ink="ink2">{one.source}</Txt>
                <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
                  {isBuiltIn(one) ? null : (
                    <Press label={`Edit ${one.name}`} onPress={() => setOpen(one.id)} />
                  )}
                  <Press
                    label={`Copy ${one.name}`}
                    onPress={() => {
                      const copy = { ...one, id: uuid(), name: `${one.name}, copy` };
                      void save(copy).then(() => setOpen(copy.id));
                    }}
                  />
                </View>
                {isBuiltIn(one) ? null : (
                  <RemoveKeys removal={removal} item={removable('instrument', one)} />
                )}
              </Leaf>
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
  const label = `Instrument “${instrument.name}”`;
  const outcome = await outbox.add(commands.saveInstrument, instrument, label);
  return 'refused' in outcome ? outcome.refused.message : '';
}

function InstrumentForm({ instrument, onDone }: { instrument: Instrument; onDone(): void }) {
  const { id, kind, name: was, source: from, ...figures } = instrument;
  const [name, setName] = useState(was);
  const [source, setSource] = useState(from);
  const [text, setText] = useState(() => JSON.stringify(figures, null, 1));
  const [problem, setProblem] = useState('');
  const submit = async () => {
    let typed: object;
    try {
      typed = JSON.parse(text) as object;
    } catch {
      return setProblem('The figures are no JSON: look for a comma or a quote that is missing.');
    }
    const read = instrumentSchema.safeParse({ ...typed, id, kind, name, source });
    if (!read.success) {
      const [issue] = read.error.issues;
      return setProblem(`${issue!.path.join(', ')}: ${issue!.message}`);
    }
    const outcome = await save(read.data);
    setProblem(outcome);
    if (outcome === '') onDone();
  };
  return (
    <Leaf style={{ gap: 12 }}>
      <TextField label="Name of the instrument" value={name} onChange={setName} />
      <TextField label="Where its figures come from" value={source} onChange={setSource} />
      <TextInput
        mode="outlined"
        multiline
        label="Figures"
        aria-label="Figures"
        value={text}
        onChangeText={setText}
        style={{ minHeight: 220 }}
        outlineStyle={{ borderWidth: 2 }}
      />
      <HelperText type="info" visible padding="none" style={{ fontSize: 14 }}>
        JSON; cleave lengths in tenths of a millimeter, times in seconds, the cleave limit in
        hundredths of a degree.
      </HelperText>
      {problem ? (
        <Notice word="Not saved." ink="accent" live>
          {problem}
        </Notice>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Press label="Save the instrument" look="next" onPress={() => void submit()} />
        <Press label="Close without saving" onPress={onDone} />
      </View>
    </Leaf>
  );
}
