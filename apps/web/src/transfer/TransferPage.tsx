import { useState } from 'react';
import { TransferError, COMMANDS, packWork, readWork } from '@cordel/client';
import { transferPage as t } from '@cordel/text/pages/transfer/TransferPage';
import { momentHere } from '@/accounts/zone';
import { outbox, useOutbox } from '@/data/client';
import { usePerson, useSession } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Text } from '@/ui/Text';
import { pickFile } from '@/ui/pickFile';
import { shareText } from '@/ui/saveFile';

const TYPE = 'application/json';

/** Gives what waits on this phone to another one, and takes in what another one gives. */
export function TransferPage() {
  const { project } = useProjectView();
  return (
    <Page title={t('title')} above={project.name} back={`/p/${project.id}/kit`}>
      <Text>{t('says')}</Text>
      <Giving />
      <Taking />
    </Page>
  );
}

const listOf = (names: readonly string[]): string => [...new Set(names.filter(Boolean))].join(', ');

function Giving() {
  const { writes } = useOutbox();
  const [person] = usePerson();
  const waiting = writes.filter(({ state }) => state !== 'refused');
  const give = async (): Promise<void> => {
    const text = await packWork(waiting, person, outbox.file);
    const stamp = new Date().toISOString().slice(0, 16).replace(/[:T]/g, '-');
    const name = `cordel-work-${stamp}.json`;
    await shareText(name, text, TYPE);
  };
  const people = listOf(waiting.map((write) => write.person)) || '?';
  return (
    <>
      <Text kind="name" heading={2}>
        {t('give')}
      </Text>
      <Text>
        {waiting.length === 0 ? t('nothingWaits') : t('waits', { writes: waiting.length, people })}
      </Text>
      <Button
        label={typeof navigator.canShare === 'function' ? t('share') : t('save')}
        icon="download"
        look="next"
        disabled={waiting.length === 0}
        onPress={() => void give()}
      />
    </>
  );
}

interface Taken {
  from: string;
  madeAt: string;
  fresh: number;
  /** Who has to sign in before theirs is sent. */
  people: string;
}

function Taking() {
  const session = useSession();
  const [taken, setTaken] = useState<Taken | null>(null);
  const [problem, setProblem] = useState<TransferError['code'] | null>(null);
  const take = async (): Promise<void> => {
    const file = await pickFile('.json,application/json');
    if (!file) return;
    setTaken(null);
    setProblem(null);
    try {
      const work = readWork(await file.text(), COMMANDS);
      const fresh = await outbox.importWork(work.writes, work.files);
      const here = new Set(session?.here.map(({ id }) => id));
      const others = work.writes.filter(({ personId }) => personId && !here.has(personId));
      const people = listOf(others.map(({ person }) => person));
      setTaken({ from: work.from, madeAt: work.madeAt, fresh, people });
    } catch (error) {
      if (!(error instanceof TransferError)) throw error;
      setProblem(error.code);
    }
  };
  return (
    <>
      <Text kind="name" heading={2}>
        {t('take')}
      </Text>
      <Text>{t('takeSays')}</Text>
      {problem ? (
        <Notice word={t('notTaken')} color="accent" live>
          {t(problem)}
        </Notice>
      ) : null}
      {taken ? (
        <Notice live>
          {t('taken', {
            fresh: taken.fresh,
            from: taken.from || '?',
            moment: momentHere(taken.madeAt),
          })}
          {taken.people ? ` ${t('underName', { people: taken.people })}` : ''}
        </Notice>
      ) : null}
      <Button label={t('choose')} icon="upload" onPress={() => void take()} />
    </>
  );
}
