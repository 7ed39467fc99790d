import { useRouter } from 'expo-router';
import { useRef, useState } from 'react';
import { View } from 'react-native';
import { common } from '@cordel/text/pages/common';
import { tracesPage as t } from '@cordel/text/pages/traces/TracesPage';
import { tracesShared as shared } from '@cordel/text/pages/traces/shared';
import { usePerson } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { droppedFiles, pickFiles } from '@/ui/pickFiles';
import { Button } from '@/ui/Button';
import { Select } from '@/ui/Select';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { ProofTabs } from '../ProofTabs';
import { FileRows } from './FileRows';
import { HereRows } from './HereRows';
import { OtdrPart } from './OtdrPart';
import { type TraceImport, useTraceImport } from './useTraceImport';

/** Imports trace files: drop or choose, say what names mean, look, send; and those that are here. */
export function TracesPage() {
  const { project } = useProjectView();
  const router = useRouter();
  const flow = useTraceImport();
  const [person, setPerson] = usePerson();
  const [name, setName] = useState('');
  const [shooting, setShooting] = useState(false);
  const any = flow.files.length > 0;
  return (
    <Page title={common('traces')} above={project.name} back={`/p/${project.id}/ledger`}>
      <ProofTabs />
      {person === '' ? (
        <Card style={{ gap: 10 }}>
          <Text>{t('whoImportsThemEveryEntryIs')}</Text>
          <TextField label={t('nameOrInitials')} value={name} onChange={setName} />
          <Button
            label={t('thatIsMe')}
            look="next"
            disabled={name.trim() === ''}
            onPress={() => setPerson(name.trim())}
          />
        </Card>
      ) : null}
      <DropPart flow={flow} disabled={person === ''} shoot={() => setShooting(!shooting)} />
      {shooting ? (
        <OtdrPart add={flow.add} isOnReel={flow.isOnReel} disabled={person === ''} />
      ) : null}
      <BusyPart flow={flow} />
      {any ? <NamingPart flow={flow} /> : null}
      {any ? <FileRows flow={flow} /> : null}
      <Button
        label={t('cablesOnTheirReels')}
        icon="circle-double"
        style={{ alignSelf: 'flex-start' }}
        onPress={() => router.push(`/p/${project.id}/ledger/reel` as never)}
      />
      {flow.here.data ? (
        <HereRows here={flow.here.data} />
      ) : (
        <Waiting error={flow.here.error} again={() => void flow.here.refetch()} />
      )}
    </Page>
  );
}

function DropPart({
  flow,
  disabled,
  shoot,
}: {
  flow: TraceImport;
  disabled: boolean;
  shoot(): void;
}) {
  const colors = useColors();
  const [over, setOver] = useState(false);
  const depth = useRef(0);
  const take = async (files: Promise<File[]>) => {
    const list = await files;
    if (list.length > 0) await flow.add(list);
  };
  const enter = (step: number) => {
    depth.current = Math.max(0, depth.current + step);
    setOver(depth.current > 0);
  };
  return (
    <div
      onDragEnter={(event) => (event.preventDefault(), enter(1))}
      onDragLeave={() => enter(-1)}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        depth.current = 0;
        setOver(false);
        if (!disabled) void take(droppedFiles(event.dataTransfer));
      }}
      style={{
        border: `2px dashed ${colors.ink}`,
        padding: 14,
        display: 'flex',
        flexDirection: 'column',
        gap: 10,
        background: over ? colors.leaf : undefined,
      }}
    >
      <Choice
        label={t('whenTheyWereShot')}
        value={flow.isOnReel ? 'reel' : 'installed'}
        options={[
          { value: 'installed', label: t('installed') },
          { value: 'reel', label: t('onTheReel') },
        ]}
        onChange={(value) => flow.setOnReel(value === 'reel')}
      />
      <Text>{t('dropAFolderOfSorFiles')}</Text>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        <Button
          label={t('chooseFiles')}
          icon="file-upload-outline"
          look={flow.files.length > 0 ? 'plain' : 'next'}
          disabled={disabled || flow.busy !== null}
          onPress={() => void take(pickFiles('.sor,.SOR,application/octet-stream'))}
        />
        <Button
          label={t('chooseAFolder')}
          icon="folder-outline"
          disabled={disabled || flow.busy !== null}
          onPress={() => void take(pickFiles('', true))}
        />
        <Button label={shared('simulatedOtdr')} icon="pulse" onPress={shoot} />
      </View>
    </div>
  );
}

function BusyPart({ flow }: { flow: TraceImport }) {
  const { project } = useProjectView();
  const router = useRouter();
  const { busy, stopped, files, ready, unread, isWaiting } = flow;
  const sent = files.filter(({ state }) => state === 'sent').length;
  return (
    <View style={{ gap: 8 }}>
      {busy ? (
        <Card style={{ gap: 8 }}>
          <Text kind="strong" aria-live="polite">
            {t('whatDoneOfFiles', {
              what:
                busy.what === 'reading' ? t('reading') : isWaiting ? t('sentSoFar') : t('sending'),
              done: busy.done,
              files: busy.all,
            })}
          </Text>
          <Button label={common('stop')} onPress={flow.stop} />
        </Card>
      ) : null}
      {isWaiting ? (
        <Notice word={t('noConnection')} live>
          {t('theFilesAreKeptOnThis')}
        </Notice>
      ) : null}
      {stopped ? (
        <Notice word={t('notAll')} color="accent" live>
          {stopped}
        </Notice>
      ) : null}
      {!busy && unread.length > 0 ? (
        <Button
          label={t('goOnReadingFilesLeft', { files: unread.length })}
          look="next"
          onPress={() => void flow.add(unread)}
        />
      ) : null}
      {!busy && sent > 0 && ready.length === 0 ? (
        <>
          <Notice word={common('imported')} color="green" live>
            {shared('traces', { traces: sent })}
          </Notice>
          <Button
            label={t('seeWhatTheyProve')}
            look="next"
            onPress={() => router.push(`/p/${project.id}/ledger/findings` as never)}
          />
        </>
      ) : null}
    </View>
  );
}

/** What names and locations mean, for all files at once. */
function NamingPart({ flow }: { flow: TraceImport }) {
  const { cables } = useProjectView();
  const disputed = flow.files.some(
    ({ state, place }) => state === 'placeUnclear' && place?.isDisputed,
  );
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('whatTheNamesMean')}
      </Text>
      <TextField
        label={t('patternOfTheNames')}
        value={flow.pattern}
        hint={t('patternHint', { pattern: '{cable} {fiber} {dir} {nm}' })}
        onChange={flow.setPattern}
      />
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 10, flexWrap: 'wrap' }}>
        <Text>{t('whereNeitherSaysTheCableFibers')}</Text>
        <Select
          label={t('cableTheFibersAreCountedIn')}
          value={flow.cableId ?? ''}
          options={[
            { value: '', label: t('choose') },
            ...cables.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(value) => flow.setCable(value === '' ? null : value)}
        />
      </View>
      {flow.words.map(({ word, direction }) => (
        <Choice
          key={word}
          label={t('wordWasShot', { word })}
          value={direction ?? 'none'}
          options={[
            { value: 'AB' as const, label: shared('fromEndA') },
            { value: 'BA' as const, label: shared('fromEndB') },
          ]}
          onChange={(value) => flow.setDirection(word, value as 'AB' | 'BA')}
        />
      ))}
      <Text kind="small" color="ink2">
        {t('endAIsWhereACircuit')}
      </Text>
      {disputed || flow.trust ? (
        <Choice
          label={t('whereNameAndFileDisagree')}
          value={flow.trust ?? 'none'}
          options={[
            { value: 'name' as const, label: t('theNameIsRight') },
            { value: 'file' as const, label: t('theFileIsRight') },
          ]}
          onChange={(value) => flow.setTrust(value as 'name' | 'file')}
        />
      ) : null}
    </Card>
  );
}
