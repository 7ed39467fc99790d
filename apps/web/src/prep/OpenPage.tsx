import { useState } from 'react';
import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import type { Cable, EntryKind, OpenedClosure, Splice } from '@cordel/core';
import { openPage as t } from '@cordel/text/pages/prep/OpenPage';
import { useWork } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Empty, Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Revealed } from '@/ui/Revealed';
import { Text } from '@/ui/Text';
import { useWide } from '@/ui/useWide';
import { EntryPart } from './EntryPart';
import { HardwareConflicts } from './HardwareConflicts';
import { LengthField } from './LengthField';
import { PrintSheet } from './PrintSheet';
import { type AssemblyHook, newEntry, useAssembly } from './useAssembly';

/** Opening a closure's cables: hardware, what enters, seals, cut plans and steps. */
export function OpenPage() {
  const { closureId } = useLocalSearchParams<{ closureId: string }>();
  const { project } = useProjectView();
  const hook = useAssembly(closureId);
  const wide = useWide();
  const work = useWork(closureId);
  const { opened, closure } = hook;
  return (
    <Page
      title={t('openTheCables')}
      above={closure?.name ?? project.name}
      back={`/p/${project.id}/route/${closureId}`}
      right={<Button label={t('print')} icon="printer-outline" onPress={() => window.print()} />}
    >
      {opened ? (
        <>
          <HardwarePart hook={hook} opened={opened} splices={work.data?.splices ?? []} />
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 16 }}>
            {opened.entries.map((item) => (
              <View key={item.entry.id} style={{ width: wide ? '48%' : '100%' }}>
                <EntryPart hook={hook} opened={opened} item={item} />
              </View>
            ))}
          </View>
          <AddCable hook={hook} opened={opened} closureId={closureId} />
          {opened.hardware && opened.entries.length > 0 ? <Plugs opened={opened} /> : null}
          <PrintSheet
            name={closure?.name ?? ''}
            opened={opened}
            splices={work.data?.splices ?? []}
          />
        </>
      ) : (
        <Empty title={t('notHere')}>{t('thereIsNoSuchClosureIn')}</Empty>
      )}
    </Page>
  );
}

function HardwarePart({
  hook,
  opened,
  splices,
}: {
  hook: AssemblyHook;
  opened: OpenedClosure;
  splices: readonly Splice[];
}) {
  const { hardware, isArchived, project } = useProjectView();
  const chosen = opened.assembly.hardwareId ?? '';
  const [isOpen, setIsOpen] = useState(opened.hardware === null);
  return (
    <Card style={{ gap: 10 }}>
      {opened.hardware && !isOpen ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' }}>
          <Text kind="name" heading={2} style={{ flex: 1, minWidth: 180 }}>
            {opened.hardware.name}
          </Text>
          <Button label={t('otherHardware')} onPress={() => setIsOpen(true)} />
        </View>
      ) : (
        <Choice
          label={t('hardware')}
          value={chosen}
          options={hardware
            .filter((one) => one.id === chosen || !isArchived(one))
            .map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(hardwareId) => {
            setIsOpen(false);
            hook.change({ kind: 'hardware', hardwareId });
          }}
        />
      )}
      {opened.hardware ? <Text color="ink2">{opened.hardware.source}</Text> : null}
      <HardwareConflicts
        closureId={opened.assembly.closureId}
        trays={hook.closure?.trays ?? []}
        splices={splices}
      />
      <LengthField
        label={t('fromTheClosureToWhereIt')}
        value={opened.assembly.reach}
        unit={project.units.length}
        most={200_000}
        onChange={(reach) => hook.change({ kind: 'reach', reach })}
      />
    </Card>
  );
}

function AddCable({
  hook,
  opened,
  closureId,
}: {
  hook: AssemblyHook;
  opened: OpenedClosure;
  closureId: string;
}) {
  const { cables } = useProjectView();
  const [asked, setAsked] = useState<string | null>(null);
  const work = useWork(closureId);
  const used = new Set(
    (work.data?.splices ?? []).flatMap((splice) => [splice.cableA, splice.cableB]),
  );
  // What passes is not cut off: where no plan says it, a person does before anything else.
  const isPlanned = (cable: Cable) => used.has(cable.id) || cable.makeUp.kind === 'drop';
  const entered = new Set(opened.assembly.entries.map((entry) => entry.cableId));
  const open = cables.filter((cable) => !entered.has(cable.id));
  // Cables that the splices name come first: they must enter here.
  const sorted = [...open].sort((a, b) => Number(used.has(b.id)) - Number(used.has(a.id)));
  if (open.length === 0) return null;
  const missing = open.filter((cable) => used.has(cable.id));
  const add = (cable: Cable, kind?: EntryKind) => {
    setAsked(null);
    hook.change({ kind: 'add', entry: { ...newEntry(cable), ...(kind && { kind }) } });
  };
  return (
    <View style={{ gap: 8 }}>
      {missing.length > 0 ? (
        <Notice word={t('enterHereToo')}>
          {t('splicedInThisClosure', { missing: missing.map((cable) => cable.name).join(', ') })}
        </Notice>
      ) : null}
      <Text color="ink2">{t('addACableThatEnters')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {sorted.map((cable) => (
          <Button
            key={cable.id}
            label={t('addName', { name: cable.name })}
            look={used.has(cable.id) ? 'next' : 'plain'}
            aria-expanded={isPlanned(cable) ? undefined : asked === cable.id}
            onPress={() => (isPlanned(cable) ? add(cable) : setAsked(cable.id))}
          />
        ))}
      </View>
      {sorted
        .filter(({ id }) => id === asked)
        .map((cable) => (
          <Revealed key={cable.id}>
            <Card style={{ gap: 8 }}>
              <Text kind="strong">{t('howDoesItEnter', { name: cable.name })}</Text>
              <Text color="ink2">{t('noPlanSaysIt')}</Text>
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
                <Button label={t('itPasses')} onPress={() => add(cable, 'express')} />
                <Button label={t('itEndsHere')} onPress={() => add(cable, 'end')} />
              </View>
            </Card>
          </Revealed>
        ))}
    </View>
  );
}

function Plugs({ opened }: { opened: OpenedClosure }) {
  const empty = opened.ports.filter((use) => use.plugs > 0);
  if (empty.length === 0) return null;
  return (
    <Notice word={t('plugEveryUnusedHole')}>
      {empty.map(({ port, plugs }) => t('namePlugs', { name: port.name, plugs })).join('; ')}
    </Notice>
  );
}
