import { useState } from 'react';
import { View } from 'react-native';
import { accounts as t } from '@cordel/text/pages/accounts/accounts';
import { takeTurn } from '@/data/signIn';
import { useSession } from '@/data/session';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { SignInForm } from './SignInForm';
import { useTask } from './useTask';

/** Lets several people take turns on one device, each by PIN. */
export function TurnPart() {
  const session = useSession();
  const [isAdding, setAdding] = useState(false);
  const others = (session?.here ?? []).filter(({ id }) => id !== session?.person?.id);
  return (
    <View style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('switchPerson')}
      </Text>
      {others.map((person) => (
        <Turn key={person.id} {...person} />
      ))}
      {isAdding ? (
        <SignInForm onDone={() => setAdding(false)} />
      ) : (
        <Button label={t('signInAnother')} onPress={() => setAdding(true)} />
      )}
    </View>
  );
}

function Turn({ id, name, hasPin }: { id: string; name: string; hasPin: boolean }) {
  const [pin, setPin] = useState('');
  const task = useTask();
  const go = () =>
    void task.run(async () => {
      const isRight = await takeTurn(id, pin);
      setPin('');
      if (!isRight) throw new Error(t('wrongPinHere'));
    });
  if (!hasPin) return <Text color="ink2">{t('noPin', { name })}</Text>;
  return (
    <Card style={{ gap: 10 }}>
      <Text kind="strong">{name}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'flex-start' }}>
        <TextField
          label={t('pin')}
          name={t('pinOf', { name })}
          secret
          numeric
          value={pin}
          onChange={setPin}
          onLeave={() => undefined}
        />
        <Button
          label={t('takeTurn', { name })}
          look="next"
          disabled={task.busy || pin.length < 4}
          onPress={go}
        />
      </View>
      {task.problem ? (
        <Notice color="accent" live>
          {task.problem}
        </Notice>
      ) : null}
    </Card>
  );
}
