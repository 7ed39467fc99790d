import { useState } from 'react';
import { View } from 'react-native';
import {
  BUILT_IN_HARDWARE,
  HARDWARE_FORMS,
  type Hardware,
  type HardwareForm,
  hardwareSchema,
} from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { hardwareFormText } from '@cordel/text/prep';
import { kitShared as shared } from '@cordel/text/pages/kit/shared';
import { hardwarePage as t } from '@cordel/text/pages/kit/HardwarePage';
import { common } from '@cordel/text/pages/common';
import { errorText, issueText } from '@cordel/text/record';
import { outbox } from '@/data/client';
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
import { Text } from '@/ui/Text';
import { pickFile } from '@/ui/pickFile';
import { saveFile } from '@/ui/saveFile';
import { HardwareEditor } from './HardwareEditor';

const isBuiltIn = (hardware: Hardware) => BUILT_IN_HARDWARE.some(({ id }) => id === hardware.id);

/** Hardware profiles: those that ship, to be copied, and one's own, to be edited and exchanged. */
export function HardwarePage() {
  const { project, hardware, isArchived } = useProjectView();
  const removal = useRemoval();
  const [open, setOpen] = useState<string | null>(null);
  const [problem, setProblem] = useState('');
  const runImport = async () => {
    setProblem('');
    const file = await pickFile('.json,application/json');
    if (!file) return;
    const outcome = await save(readHardware(await file.text()));
    if (outcome) setProblem(`${file.name}: ${outcome}`);
  };
  return (
    <Page
      title={shared('hardware')}
      above={project.name}
      back={`/p/${project.id}/kit`}
      needs="record"
    >
      <Notice>{t('theSheetThatComesWithThe')}</Notice>
      <RemovalNotice removal={removal} />
      <Grid least={420} gap={16}>
        {hardware
          .filter((entry) => !isArchived(entry))
          .map((entry) =>
            open === entry.id ? (
              <GridRow key={entry.id}>
                <HardwareEditor hardware={entry} onDone={() => setOpen(null)} />
              </GridRow>
            ) : (
              <Card key={entry.id} style={{ gap: 8 }}>
                <Text kind="name" heading={2}>
                  {entry.name}
                </Text>
                <Text color="ink2">
                  {t('portsAtMostTraysOfSingle', {
                    ports: entry.ports.length,
                    trays: entry.trays.most,
                    single: entry.trays.single,
                    mass: entry.trays.mass,
                    source: entry.source,
                  })}
                </Text>
                <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
                  {isBuiltIn(entry) ? null : (
                    <Button
                      label={shared('editName', { name: entry.name })}
                      onPress={() => setOpen(entry.id)}
                    />
                  )}
                  <Button
                    label={shared('copyName', { name: entry.name })}
                    onPress={() => {
                      const copy = {
                        ...entry,
                        id: uuid(),
                        name: shared('nameCopy', { name: entry.name }),
                      };
                      void save(copy).then(() => setOpen(copy.id));
                    }}
                  />
                  <Button
                    label={t('exportName', { name: entry.name })}
                    onPress={() => exportJson(entry)}
                  />
                </View>
                {isBuiltIn(entry) ? null : (
                  <RemoveKeys removal={removal} item={removable('hardware', entry)} />
                )}
              </Card>
            ),
          )}
      </Grid>
      {problem ? (
        <Notice word={common('notImported')} color="accent" live>
          {problem}
        </Notice>
      ) : null}
      <NewProfile onMade={setOpen} />
      <Button
        label={t('importAProfile')}
        icon="file-upload-outline"
        onPress={() => void runImport()}
      />
      <ArchivedList
        removal={removal}
        items={hardware.filter(isArchived).map((entry) => removable('hardware', entry))}
      />
    </Page>
  );
}

/** Saves a profile; gives what is wrong in words, or nothing. */
async function save(hardware: Hardware | string): Promise<string> {
  if (typeof hardware === 'string') return hardware;
  const label = t('hardwareName', { name: hardware.name });
  const outcome = await outbox.add(commands.saveHardware, hardware, label);
  return 'refused' in outcome ? errorText(outcome.refused) : '';
}

/** Reads a profile from JSON; words that name the place where it is wrong otherwise. */
function readHardware(text: string): Hardware | string {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return t('thisIsNoJsonExportA');
  }
  const read = hardwareSchema.safeParse(json);
  if (!read.success) {
    const [issue] = read.error.issues;
    return `${issue!.path.join(', ')}: ${issueText(issue!)}`;
  }
  // A profile that ships stays as it is; what is imported under its id becomes one's own.
  return isBuiltIn(read.data) ? { ...read.data, id: uuid() } : read.data;
}

const exportJson = (hardware: Hardware): void =>
  saveFile(`${hardware.name}.json`, JSON.stringify(hardware, null, 2), 'application/json');

/** A profile of one's own from nothing: a form, and then its figures. */
function NewProfile({ onMade }: { onMade(id: string): void }) {
  const [isOpen, setIsOpen] = useState(false);
  const begin = async (form: HardwareForm) => {
    const generic = BUILT_IN_HARDWARE.find((own) => own.form === form)!;
    const id = uuid();
    const name = t('newHardware');
    await save({ ...generic, id, name, source: t('sheetNotNamedYet'), ports: [generic.ports[0]!] });
    setIsOpen(false);
    onMade(id);
  };
  if (!isOpen)
    return <Button icon="plus" label={t('newProfile')} onPress={() => setIsOpen(true)} />;
  return (
    <Card style={{ gap: 8 }}>
      <Text kind="strong">{t('whichFormIsIt')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {HARDWARE_FORMS.map((form) => (
          <Button key={form} label={hardwareFormText(form)} onPress={() => void begin(form)} />
        ))}
      </View>
    </Card>
  );
}
