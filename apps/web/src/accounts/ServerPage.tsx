import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { View } from 'react-native';
import { answerOf } from '@cordel/client';
import { accounts as t } from '@cordel/text/pages/accounts/accounts';
import { api } from '@/data/api';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Text } from '@/ui/Text';
import { LinkCard } from './LinkCard';
import { Trail } from './Trail';
import { useLockOut } from './useLockOut';
import { useTask } from './useTask';
import { dayHere } from './zone';

/** Everybody on a server, for its owner: devices, new passwords, and what was done. */
export function ServerPage() {
  const { data, error } = useQuery({
    queryKey: ['people'],
    queryFn: () => answerOf(api.GET('/api/people')),
  });
  const [link, setLink] = useState<{ name: string; secret: string } | null>(null);
  const task = useTask();
  const { isLocked, lockOut } = useLockOut(task);
  const newPassword = (personId: string, name: string) =>
    void task.run(async () => {
      const { secret } = await answerOf(
        api.POST('/api/people/{personId}/password-link', { params: { path: { personId } } }),
      );
      setLink({ name, secret });
    });
  return (
    <Page title={t('server')} above={t('people')} back="/you">
      {task.problem ? <Notice color="accent">{task.problem}</Notice> : null}
      {isLocked ? <Notice live>{t('lockedOutNow')}</Notice> : null}
      {link ? (
        <LinkCard secret={link.secret} says={t('passwordLinkOf', { name: link.name })} />
      ) : null}
      {data ? null : <Waiting error={error} />}
      {data?.map(({ id, name, email, ownsServer, devices }) => (
        <Card key={id} style={{ gap: 8 }}>
          <Text kind="strong">{name}</Text>
          <Text color="ink2">{ownsServer ? `${email}, ${t('serverOwner')}` : email}</Text>
          {devices.length === 0 ? <Text color="ink2">{t('noDevices')}</Text> : null}
          {devices.map((device) => (
            <View
              key={device.id}
              style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' }}
            >
              <Text style={{ flexGrow: 1 }}>
                {t('deviceLine', { device: device.name, day: dayHere(device.since) })}
              </Text>
              <Button label={t('lockOut')} onPress={() => void lockOut(device.id)} />
            </View>
          ))}
          <Button label={t('passwordLink')} onPress={() => newPassword(id, name)} />
        </Card>
      ))}
      <Trail projectId={null} />
    </Page>
  );
}
