import { useState } from 'react';
import { View } from 'react-native';
import { outbox, useOutbox } from '@/data/client';
import type { Write } from '@cordel/client';
import { outboxItem as t } from '@cordel/text/pages/ui/OutboxItem';
import { toldText } from '@cordel/text/record';
import { Card } from './Card';
import { Button } from './Button';
import { Text } from './Text';
import { saveFile } from './saveFile';

/** How a write stands, in words. */
function writeState({ state, problem, unsafe, unknown, failures }: Write): string {
  if (unknown) return t('madeByANewerVersionOf');
  if (state === 'refused') return t('notAcceptedProblem', { problem: toldText(problem ?? '') });
  if (state === 'set aside')
    return t('setAsideAfterAttempts', {
      failures: failures ?? 0,
      problem: toldText(problem ?? ''),
    });
  if (unsafe) return t('notSafeYetThisDeviceHas');
  return t('waitsToBeSent');
}

const kilobytes = (bytes: number): number => Math.round(bytes / 1024);

/** A write of the outbox: what it holds, a copy of it, and the ways on. */
export function OutboxItem({ write }: { write: Write }) {
  const [open, setOpen] = useState(false);
  const [dropping, setDropping] = useState(false);
  const text = JSON.stringify(write, null, 2);
  const done = write.state !== 'waiting';
  const { sending } = useOutbox();
  const progress =
    sending?.writeId === write.id
      ? t('sentKbOfKb', { sent: kilobytes(sending.sent), size: kilobytes(sending.size) })
      : writeState(write);
  return (
    <Card style={{ gap: 8 }}>
      <Text kind="strong">{write.label}</Text>
      <Text color={done || write.unsafe ? 'accent' : 'ink2'}>{progress}</Text>
      {open ? (
        <Text kind="small" selectable style={{ fontFamily: 'monospace' }}>
          {text.slice(0, 4000)}
        </Text>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {done ? (
          <Button label={t('sendAgain')} onPress={() => void outbox.retry(write.id)} />
        ) : null}
        <Button
          label={open ? t('hideWhatItHolds') : t('whatItHolds')}
          aria-expanded={open}
          onPress={() => setOpen(!open)}
        />
        <Button
          label={t('saveACopy')}
          icon="download"
          onPress={() => saveFile(`write-${write.id}.json`, text, 'application/json')}
        />
        {dropping ? (
          <Button
            label={t('dropItForGood')}
            look="next"
            onPress={() => void outbox.discard(write.id)}
          />
        ) : (
          <Button label={t('dropIt')} onPress={() => setDropping(true)} />
        )}
      </View>
    </Card>
  );
}
