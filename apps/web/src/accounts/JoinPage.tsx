import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { answerOf } from '@cordel/client';
import type { paths } from '@cordel/client/paths';
import { accounts as t, roleText } from '@cordel/text/pages/accounts/accounts';
import { errorText } from '@cordel/text/record';
import { api } from '@/data/api';
import { join } from '@/data/signIn';
import { useSession } from '@/data/session';
import { Button } from '@/ui/Button';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { SignInForm } from './SignInForm';
import { useTask } from './useTask';

type Invitation =
  paths['/api/invitations/look']['post']['responses'][200]['content']['application/json'];

/** What a link of an invitation opens. Its secret stands behind the #, which no server and no log is told. */
export function JoinPage() {
  const secret = typeof window === 'undefined' ? '' : window.location.hash.slice(1);
  const { data, error } = useQuery({
    queryKey: ['invitation', secret],
    queryFn: () => answerOf(api.POST('/api/invitations/look', { body: { secret } })),
    enabled: secret.length >= 20,
    staleTime: Infinity,
  });
  if (secret.length < 20) return <Fails>{t('linkMissing')}</Fails>;
  if (error) return <Fails>{errorText(error)}</Fails>;
  if (!data) return <Page title={t('join')}>{null}</Page>;
  return data.setsPassword ? (
    <SetPassword secret={secret} invitation={data} />
  ) : (
    <Joining secret={secret} invitation={data} />
  );
}

function Fails({ children }: { children: string }) {
  const router = useRouter();
  return (
    <Page title={t('join')} above={t('cordel')}>
      <Notice word={t('linkFails')} color="accent">
        {children}
      </Notice>
      <Button label={t('goOn')} onPress={() => router.replace('/')} />
    </Page>
  );
}

interface PartProps {
  secret: string;
  invitation: Invitation;
}

function Joining({ secret, invitation }: PartProps) {
  const { project, role, invitedBy } = invitation;
  const person = useSession()?.person ?? null;
  const [isOther, setOther] = useState(false);
  const router = useRouter();
  const task = useTask();
  const go = () => router.replace('/projects');
  const isFirst = project === null;
  return (
    <Page title={isFirst ? t('firstOwner') : t('joinProject', { project })} above={t('cordel')}>
      <Text>
        {isFirst
          ? t('firstOwnerSays')
          : invitedBy
            ? t('invitedAs', { by: invitedBy, role: roleText(role) })
            : t('invitedWithout', { role: roleText(role) })}
      </Text>
      {person && !isOther ? (
        <View style={{ gap: 12 }}>
          {task.problem ? <Notice color="accent">{task.problem}</Notice> : null}
          <Button
            label={t('joinAs', { name: person.name })}
            look="next"
            disabled={task.busy}
            onPress={() =>
              void task.run(() => join(secret, null, null)).then((done) => done && go())
            }
          />
          <Button label={t('joinAsOther')} onPress={() => setOther(true)} />
        </View>
      ) : (
        <NewAccount secret={secret} onDone={go} canSignIn={!isFirst} />
      )}
    </Page>
  );
}

function NewAccount({
  secret,
  canSignIn,
  onDone,
}: {
  secret: string;
  canSignIn: boolean;
  onDone(): void;
}) {
  const [name, setName] = useState('');
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [hasAccount, setHasAccount] = useState(false);
  const task = useTask();
  const send = () =>
    void task
      .run(() => join(secret, { name, email: email.trim(), password }, null))
      .then((isDone) => isDone && onDone());
  if (hasAccount)
    return (
      <SignInForm
        onDone={() =>
          void task.run(() => join(secret, null, null)).then((done) => done && onDone())
        }
      />
    );
  return (
    <View style={{ gap: 12, maxWidth: 480 }}>
      <TextField label={t('name')} kind="name" value={name} onChange={setName} />
      <TextField label={t('email')} kind="email" value={email} onChange={setEmail} />
      <TextField
        label={t('password')}
        kind="new-password"
        secret
        value={password}
        hint={t('passwordHint')}
        onChange={setPassword}
      />
      {task.problem ? (
        <Notice color="accent" live>
          {task.problem}
        </Notice>
      ) : null}
      <Button
        label={t('makeAccount')}
        look="next"
        disabled={task.busy || name.trim() === '' || email.trim() === '' || password === ''}
        onPress={send}
      />
      {canSignIn ? <Button label={t('haveAccount')} onPress={() => setHasAccount(true)} /> : null}
    </View>
  );
}

function SetPassword({ secret, invitation }: PartProps) {
  const [password, setPassword] = useState('');
  const router = useRouter();
  const task = useTask();
  const send = () =>
    void task
      .run(() => join(secret, null, password))
      .then((isDone) => isDone && router.replace('/projects'));
  return (
    <Page title={t('setPassword')} above={t('cordel')}>
      <Text>{t('setPasswordFor', { name: invitation.note })}</Text>
      <View style={{ gap: 12, maxWidth: 480 }}>
        <TextField
          label={t('newPassword')}
          kind="new-password"
          secret
          value={password}
          hint={t('passwordHint')}
          onChange={setPassword}
        />
        {task.problem ? <Notice color="accent">{task.problem}</Notice> : null}
        <Button
          label={t('setPassword')}
          look="next"
          disabled={task.busy || password === ''}
          onPress={send}
        />
      </View>
    </Page>
  );
}
