import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { answerOf } from '@cordel/client';
import { accounts as t } from '@cordel/text/pages/accounts/accounts';
import { api } from '@/data/api';
import { useOutbox } from '@/data/client';
import { setPin, signOut } from '@/data/signIn';
import { type Account, useSession } from '@/data/session';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { PasskeysPart } from './PasskeysPart';
import { TurnPart } from './TurnPart';
import { useConfirm } from './useConfirm';
import { useLockOut } from './useLockOut';
import { useTask } from './useTask';
import { dayHere } from './zone';

/** One's own account: turns on a shared device, PIN, password, and where one is signed in. */
export function YouPage() {
  const session = useSession();
  const router = useRouter();
  const person = session?.person;
  if (!person)
    return (
      <Page title={t('you')} back="/projects">
        <Text>{t('openToAll')}</Text>
      </Page>
    );
  return (
    <Page title={person.name} above={t('you')} back="/projects">
      <Text color="ink2">{person.email}</Text>
      <WaitingPart person={person} />
      <TurnPart />
      <PinPart
        person={person}
        hasPin={session.here.some(({ id, hasPin }) => id === person.id && hasPin)}
      />
      <DevicesPart />
      <PasskeysPart />
      <PasswordPart />
      {person.ownsServer ? (
        <Button label={t('server')} onPress={() => router.push('/server' as never)} />
      ) : null}
      <SignOutPart person={person} />
    </Page>
  );
}

/** What the person signed without a connection, and the page was closed since: it waits for their PIN or password. */
function WaitingPart({ person }: { person: Account }) {
  const { awaited } = useOutbox();
  const { field, isFilled, confirm } = useConfirm();
  const task = useTask();
  if (!awaited?.includes(person.name)) return null;
  return (
    <Card style={{ gap: 10 }}>
      <Text>{t('sendWaitingSays')}</Text>
      {field}
      <Button
        label={t('sendWaiting')}
        look="next"
        disabled={task.busy || !isFilled}
        onPress={() => void task.run(confirm)}
      />
      {task.problem ? (
        <Notice color="accent" live>
          {task.problem}
        </Notice>
      ) : null}
    </Card>
  );
}

function PinPart({ person, hasPin }: { person: Account; hasPin: boolean }) {
  const [pin, setText] = useState('');
  const [done, setDone] = useState<string | null>(null);
  const task = useTask();
  const set = (next: string | null) =>
    void task
      .run(() => setPin(person.id, next))
      .then((isDone) => {
        setText('');
        setDone(isDone ? (next === null ? t('pinRemoved') : t('pinSet')) : null);
      });
  return (
    <View style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('yourPin')}
      </Text>
      <Text>{t('pinSays')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'flex-start' }}>
        <TextField
          label={t('pin')}
          hint={t('pinHint')}
          secret
          numeric
          value={pin}
          onChange={setText}
        />
        <Button
          label={t('setPin')}
          disabled={task.busy || pin.length < 4}
          onPress={() => set(pin)}
        />
        {hasPin ? (
          <Button label={t('removePin')} disabled={task.busy} onPress={() => set(null)} />
        ) : null}
      </View>
      {task.problem ? <Notice color="accent">{task.problem}</Notice> : null}
      {done ? <Notice live>{done}</Notice> : null}
    </View>
  );
}

function DevicesPart() {
  const client = useQueryClient();
  const { data, error } = useQuery({
    queryKey: ['sessions'],
    queryFn: () => answerOf(api.GET('/api/sessions')),
  });
  const task = useTask();
  const { isLocked, lockOut } = useLockOut(task);
  const renew = () => void client.invalidateQueries({ queryKey: ['sessions'] });
  const end = (sessionId: string) =>
    void task
      .run(() =>
        answerOf(api.DELETE('/api/sessions/{sessionId}', { params: { path: { sessionId } } })),
      )
      .then(renew);
  return (
    <View style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('devices')}
      </Text>
      {isLocked ? <Notice live>{t('lockedOutNow')}</Notice> : null}
      {task.problem ? <Notice color="accent">{task.problem}</Notice> : null}
      {data ? null : <Waiting error={error} />}
      {data?.map((one) => (
        <Card
          key={one.id}
          style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' }}
        >
          <Text style={{ flexGrow: 1 }}>
            {t('deviceLine', { device: one.device, day: dayHere(one.since) })}
            {one.current ? ` (${t('deviceNow')})` : ''}
          </Text>
          {one.current ? null : (
            <>
              <Button label={t('endIt')} onPress={() => end(one.id)} />
              <Button label={t('lockOut')} onPress={() => void lockOut(one.deviceId)} />
            </>
          )}
        </Card>
      ))}
    </View>
  );
}

function PasswordPart() {
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const [isDone, setDone] = useState(false);
  const task = useTask();
  const change = () =>
    void task
      .run(() => answerOf(api.PUT('/api/session/password', { body: { current, next } })))
      .then((done) => {
        setDone(done);
        if (!done) return;
        setCurrent('');
        setNext('');
      });
  return (
    <View style={{ gap: 12, maxWidth: 480 }}>
      <Text kind="name" heading={2}>
        {t('changePassword')}
      </Text>
      <TextField
        label={t('currentPassword')}
        kind="current-password"
        secret
        value={current}
        onChange={setCurrent}
      />
      <TextField
        label={t('newPassword')}
        kind="new-password"
        secret
        hint={t('passwordHint')}
        value={next}
        onChange={setNext}
      />
      {task.problem ? <Notice color="accent">{task.problem}</Notice> : null}
      {isDone ? <Notice live>{t('passwordChanged')}</Notice> : null}
      <Button
        label={t('changePassword')}
        disabled={task.busy || current === '' || next === ''}
        onPress={change}
      />
    </View>
  );
}

/** Asks once more where something of the person's is not sent. */
function SignOutPart({ person }: { person: Account }) {
  const { writes } = useOutbox();
  const [isSure, setSure] = useState(false);
  const router = useRouter();
  const task = useTask();
  const count = writes.filter(({ personId }) => personId === person.id).length;
  const go = () => {
    if (count > 0 && !isSure) return setSure(true);
    void task.run(signOut).then((isDone) => isDone && router.replace('/projects'));
  };
  return (
    <View style={{ gap: 12 }}>
      {task.problem ? <Notice color="accent">{task.problem}</Notice> : null}
      {isSure && count > 0 ? (
        <Notice color="accent">{t('signOutWaiting', { count })}</Notice>
      ) : null}
      <Button label={isSure && count > 0 ? t('signOutAnyway') : t('signOut')} onPress={go} />
    </View>
  );
}
