import { wrap } from 'comlink';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { type Cable, USUAL_GLASS, USUAL_RUN } from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { fileProblemText, listNoteText } from '@cordel/text/files';
import { makeUpText } from '@cordel/text/fiber';
import { cableListText } from '@cordel/text/plan';
import { cableListPage as t } from '@cordel/text/pages/kit/CableListPage';
import { kitShared as shared } from '@cordel/text/pages/kit/shared';
import { common } from '@cordel/text/pages/common';
import { outbox } from '@/data/client';
import { useProjectView } from '@/projects/context';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { SameNamesPart } from '@/splices/SameNamesPart';
import { useSameNames } from '@/splices/useSameNames';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { pickFile } from '@/ui/pickFile';
import type { CablePreview, CableReader } from './cables.worker';

const SHOWN = 60;

/** Imports a list of cables, CSV or XLSX, after a look: all of it or nothing. */
export function CableListPage() {
  const { project, cables, devices } = useProjectView();
  const router = useRouter();
  const [file, setFile] = useState<{ name: string; bytes: Uint8Array } | null>(null);
  const [found, setFound] = useState<CablePreview | null>(null);
  const [done, setDone] = useState(0);
  const list = found && !('error' in found) ? found : null;
  const names = useSameNames(
    (list?.sameNames ?? []).map((one) => ({ ...one, noun: 'cable' as const })),
  );
  // A cable that is here under another spelling stays as it is.
  const same = new Set(names.sameOf('cable').map(({ written }) => written));
  const fresh = (list?.cables ?? []).filter((cable) => !same.has(cable.name));
  // The project may be read, or written by somebody, after the file was chosen: its names are compared anew.
  const knownKey = JSON.stringify([...cables, ...devices].map((cable) => cable.name));
  useEffect(() => {
    if (!file) return undefined;
    const worker = new Worker(new URL('./cables.worker', import.meta.url));
    void wrap<CableReader>(worker)
      .read(file.bytes, JSON.parse(knownKey) as string[])
      .then(setFound);
    // What it has not answered by then is never answered.
    return () => worker.terminate();
  }, [file, knownKey]);
  const choose = async () => {
    const chosen = await pickFile('.csv,.txt,.xlsx,text/csv,text/plain');
    if (!chosen) return;
    setDone(0);
    setFound(null);
    setFile({ name: chosen.name, bytes: new Uint8Array(await chosen.arrayBuffer()) });
  };
  const runImport = () => {
    if (!found || 'error' in found) return;
    for (const { name: called, makeUp } of fresh) {
      const cable: Cable = {
        id: uuid(),
        projectId: project.id,
        name: called,
        makeUp,
        closureId: null,
        schemeId: project.schemeId,
        glass: USUAL_GLASS,
        run: USUAL_RUN,
      };
      void outbox.add(commands.saveCable, cable, t('cableCalled', { called }));
    }
    setDone(fresh.length);
    setFound(null);
    setFile(null);
  };
  return (
    <Page
      title={shared('importCables')}
      above={project.name}
      back={`/p/${project.id}/kit/cables`}
      needs="decide"
    >
      <Text>{t('aListCsvOrXlsxWith')}</Text>
      <Button
        label={common('chooseAFile')}
        icon="file-upload-outline"
        look={found || done > 0 ? 'plain' : 'next'}
        onPress={() => void choose()}
      />
      {found && 'error' in found ? (
        <Notice word={common('notRead')} color="accent" live>
          {`${file?.name ?? ''}: ${fileProblemText(found.error)}`}
        </Notice>
      ) : null}
      {found && !('error' in found) ? (
        <Card style={{ gap: 8 }}>
          {found.notes.map((note) => (
            <Notice key={note.code}>{listNoteText(note)}</Notice>
          ))}
          {found.problems.slice(0, SHOWN).map(({ row, column, value, message }) => (
            <Notice
              key={`${row} ${column} ${message.code}`}
              word={t('rowColumn', { row, column })}
              color="accent"
            >
              {value === '' ? cableListText(message) : `“${value}”: ${cableListText(message)}`}
            </Notice>
          ))}
          <SameNamesPart names={names} />
          {fresh.slice(0, SHOWN).map(({ name: called, makeUp }) => (
            <Text key={called}>
              <Text kind="strong">{called}</Text>
              {`: ${makeUpText(makeUp)}`}
            </Text>
          ))}
          {fresh.length > SHOWN ? (
            <Text>{t('andFreshMore', { fresh: fresh.length - SHOWN })}</Text>
          ) : null}
          <Button
            label={
              found.problems.length > 0
                ? t('problemsFixTheListFirst', { problems: found.problems.length })
                : t('importCables', { cables: fresh.length })
            }
            look="next"
            disabled={found.problems.length > 0 || fresh.length === 0 || names.open > 0}
            onPress={runImport}
          />
        </Card>
      ) : null}
      {done > 0 ? (
        <>
          <Notice word={common('imported')} color="green" live>
            {`${shared('cables', { cables: done })}.`}
          </Notice>
          <Button
            label={t('seeTheCables')}
            look="next"
            onPress={() => router.replace(`/p/${project.id}/kit/cables` as never)}
          />
        </>
      ) : null}
    </Page>
  );
}
