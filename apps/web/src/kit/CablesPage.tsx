import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import {
  type Cable,
  FIBER_TYPES,
  USUAL_GLASS,
  USUAL_RUN,
  cableNameSchema,
  compareNames,
  glassSchema,
} from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { makeUpText } from '@cordel/text/fiber';
import { common } from '@cordel/text/pages/common';
import { cablesPage as t } from '@cordel/text/pages/kit/CablesPage';
import { kitShared as shared } from '@cordel/text/pages/kit/shared';
import { issueText } from '@cordel/text/record';
import { useMergedSave } from '@/data/useMergedSave';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { ArchivedList } from '@/removal/ArchivedList';
import { RemovalNotice } from '@/removal/RemovalNotice';
import { RemoveKeys } from '@/removal/RemoveKeys';
import { removable } from '@/removal/removables';
import { type Removal, useRemoval } from '@/removal/useRemoval';
import { Grid, GridRow } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { Empty, Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { MakeUpForm } from './MakeUpForm';
import { RunForm } from './RunForm';
import { readRun, typeRun } from './runForm';
import { type TypedMakeUp, readMakeUp, typeMakeUp } from './typedMakeUp';

/** The project's cables: what each is made of. */
export function CablesPage() {
  const { project, cables, isArchived } = useProjectView();
  const removal = useRemoval();
  // Other pages open the form of one.
  const params = useLocalSearchParams<{ open?: string }>();
  const [open, setOpen] = useState<string | null>(params.open ?? null);
  const sorted = [...cables].sort((a, b) => compareNames(a.name, b.name));
  return (
    <Page
      title={common('cables')}
      above={project.name}
      back={`/p/${project.id}/kit`}
      needs="decide"
    >
      <RemovalNotice removal={removal} />
      {cables.length === 0 ? (
        <Empty title={t('noCableYet')}>{t('importingASpliceListAddsIts')}</Empty>
      ) : null}
      <Grid>
        {sorted
          .filter((cable) => !isArchived(cable))
          .map((cable) =>
            open === cable.id ? (
              <GridRow key={cable.id}>
                <CableForm cable={cable} removal={removal} onDone={() => setOpen(null)} />
              </GridRow>
            ) : (
              <Button
                key={cable.id}
                onPress={() => setOpen(cable.id)}
                style={{ justifyContent: 'space-between' }}
              >
                <Text kind="name">{cable.name}</Text>
                <Text color="ink2">{makeUpText(cable.makeUp)}</Text>
              </Button>
            ),
          )}
      </Grid>
      {open === 'new' ? (
        <CableForm removal={removal} onDone={() => setOpen(null)} />
      ) : (
        <Button label={t('addACable')} look="next" onPress={() => setOpen('new')} />
      )}
      <ArchivedList
        removal={removal}
        items={sorted.filter(isArchived).map((cable) => removable('cable', cable))}
      />
    </Page>
  );
}

function CableForm({
  cable,
  removal,
  onDone,
}: {
  cable?: Cable;
  removal: Removal;
  onDone(): void;
}) {
  const { project, schemes, cables, devices, closures, assemblies, isArchived } = useProjectView();
  const entered = closures.filter(({ id }) =>
    assemblies.some(
      (assembly) =>
        assembly.closureId === id && assembly.entries.some(({ cableId }) => cableId === cable?.id),
    ),
  );
  const [run, setRun] = useState(() => typeRun(cable?.run ?? USUAL_RUN, project.units.distance));
  const [name, setName] = useState(cable?.name ?? '');
  const [schemeId, setScheme] = useState(cable?.schemeId ?? project.schemeId);
  const [typed, setTyped] = useState<TypedMakeUp>(
    typeMakeUp(cable?.makeUp ?? { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 }),
  );
  const [glass, setGlass] = useState(cable?.glass ?? USUAL_GLASS);
  const [mfd, setMfd] = useState(glass.mfd === null ? '' : String(glass.mfd / 100));
  const [problem, setProblem] = useState('');
  const saveMerged = useMergedSave(commands.saveCable, cable);
  const save = async () => {
    const read = readMakeUp(typed);
    const named = cableNameSchema.safeParse(name);
    const field = mfd.trim() === '' ? null : Math.round(Number(mfd) * 100);
    const made = glassSchema.safeParse({ ...glass, mfd: field });
    if (!made.success)
      return setProblem(t('modeFieldTypeItInUm', { message: issueText(made.error.issues[0]!) }));
    if ('error' in read) return setProblem(read.error);
    if (!named.success) return setProblem(issueText(named.error.issues[0]!));
    if (
      [...cables, ...devices].some((other) => other.name === named.data && other.id !== cable?.id)
    )
      return setProblem(t('thereIsACableAlreadyChoose', { data: named.data }));
    const runRead = readRun(run, entered, project.units.distance);
    if ('error' in runRead) return setProblem(runRead.error);
    const record: Cable = {
      id: cable?.id ?? uuid(),
      projectId: project.id,
      name: named.data,
      makeUp: read.makeUp,
      closureId: null,
      schemeId,
      glass: made.data,
      run: runRead.run,
    };
    setProblem(shared('beingSaved'));
    const refused = await saveMerged(record, shared('cableName', { name: record.name }));
    setProblem(refused);
    if (refused === '') onDone();
  };
  return (
    <Card style={{ gap: 12 }}>
      <TextInput
        mode="outlined"
        label={t('cableName')}
        aria-label={t('cableName')}
        value={name}
        onChangeText={setName}
        maxLength={40}
      />
      <MakeUpForm value={typed} onChange={setTyped} />
      <Choice
        label={common('colours')}
        value={schemeId}
        options={schemes
          .filter((scheme) => scheme.id === schemeId || !isArchived(scheme))
          .map((scheme) => ({ value: scheme.id, label: scheme.name }))}
        onChange={setScheme}
      />
      <Choice
        label={common('fiber')}
        value={glass.type}
        options={FIBER_TYPES.map((type) => ({ value: type, label: type }))}
        onChange={(type) => setGlass({ ...glass, type })}
      />
      <TextInput
        mode="outlined"
        label={t('modeFieldAt1310NmUm')}
        aria-label={t('modeFieldInUm')}
        value={mfd}
        onChangeText={setMfd}
        inputMode="decimal"
      />
      <RunForm value={run} closures={entered} onChange={setRun} />
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
      {cable ? (
        <RemoveKeys removal={removal} item={removable('cable', cable)} onGone={onDone} />
      ) : null}
    </Card>
  );
}
