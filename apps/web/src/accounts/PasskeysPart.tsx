import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { answerOf } from '@cordel/client';
import { accounts as t } from '@cordel/text/pages/accounts/accounts';
import { api } from '@/data/api';
import { addPasskey, hasPasskeys } from '@/data/signIn';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { useTask } from './useTask';
import { dayHere } from './zone';

/** One's passkeys: a device that signs in by its own lock, without a password. */
export function PasskeysPart() {
  const client = useQueryClient();
  const { data } = useQuery({
    queryKey: ['passkeys'],
    queryFn: () => answerOf(api.GET('/api/session/passkeys')),
  });
  const [name, setName] = useState('');
  const task = useTask();
  const renew = () => void client.invalidateQueries({ queryKey: ['passkeys'] });
  const add = () =>
    void task
      .run(() => addPasskey(name.trim()))
      .then((isDone) => {
        if (isDone) setName('');
        renew();
      });
  const remove = (passkeyId: string) =>
    void task
      .run(() =>
        answerOf(
          api.DELETE('/api/session/passkeys/{passkeyId}', { params: { path: { passkeyId } } }),
        ),
      )
      .then(renew);
  return (
    <View style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('passkeys')}
      </Text>
      <Text>{hasPasskeys() ? t('passkeysSay') : t('noPasskeys')}</Text>
      {data?.map((passkey) => (
        <Card
          key={passkey.id}
          style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' }}
        >
          <Text style={{ flexGrow: 1 }}>
            {t('passkeyLine', { name: passkey.name, day: dayHere(passkey.since) })}
          </Text>
          <Button label={t('removePasskey')} onPress={() => remove(passkey.id)} />
        </Card>
      ))}
      {task.problem ? <Notice color="accent">{task.problem}</Notice> : null}
      {hasPasskeys() ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'flex-start' }}>
          <TextField
            label={t('passkeyName')}
            hint={t('passkeyNameHint')}
            value={name}
            onChange={setName}
          />
          <Button
            label={t('addPasskey')}
            disabled={task.busy || name.trim() === ''}
            onPress={add}
          />
        </View>
      ) : null}
    </View>
  );
}
