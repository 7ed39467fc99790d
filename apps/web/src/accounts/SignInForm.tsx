import { useState } from 'react';
import { View } from 'react-native';
import { accounts as t } from '@cordel/text/pages/accounts/accounts';
import { hasPasskeys, signIn, signInByPasskey } from '@/data/signIn';
import { Button } from '@/ui/Button';
import { Notice } from '@/ui/Notice';
import { TextField } from '@/ui/TextField';
import { useTask } from './useTask';

/** E-mail and password. */
export function SignInForm({ onDone }: { onDone?: () => void }) {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const task = useTask();
  const isWhole = email.trim() !== '' && password !== '';
  const send = () =>
    void task.run(() => signIn(email.trim(), password)).then((isDone) => isDone && onDone?.());
  return (
    <View style={{ gap: 12, maxWidth: 480 }}>
      <TextField label={t('email')} kind="email" value={email} onChange={setEmail} />
      <TextField
        label={t('password')}
        kind="current-password"
        secret
        value={password}
        onChange={setPassword}
      />
      {task.problem ? (
        <Notice word={t('notSignedIn')} color="accent" live>
          {task.problem}
        </Notice>
      ) : null}
      <Button label={t('signIn')} look="next" disabled={!isWhole || task.busy} onPress={send} />
      {hasPasskeys() ? (
        <Button
          label={t('signInByPasskey')}
          disabled={task.busy}
          onPress={() => void task.run(signInByPasskey).then((isDone) => isDone && onDone?.())}
        />
      ) : null}
    </View>
  );
}
