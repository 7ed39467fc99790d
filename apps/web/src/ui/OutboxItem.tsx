import { useState } from 'react';
import { View } from 'react-native';
import { outbox } from '@/data/client';
import type { Write } from '@cordel/client';
import { outboxItem as t } from '@cordel/text/pages/ui/OutboxItem';
import { toldText } from '@cordel/text/record';
import { Leaf } from './Leaf';
import { Press } from './Press';
import { Txt } from './Txt';
import { saveFile } from './saveFile';

/** How a write stands, in words. */
function writeStanding({ state, problem, unsafe, unknown, failures }: Write): string {
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

/** A write of the outbox: what it holds, a copy of it, and the ways on. */
export function OutboxItem({ write }: { write: Write }) {
  const [open, setOpen] = useState(false);
  const [dropping, setDropping] = useState(false);
  const text = JSON.stringify(write, null, 2);
  const done = write.state !== 'waiting';
  return (
    <Leaf style={{ gap: 8 }}>
      <Txt kind="strong">{write.label}</Txt>
      <Txt ink={done || write.unsafe ? 'accent' : 'ink2'}>{writeStanding(write)}</Txt>
      {open ? (
        <Txt kind="small" selectable style={{ fontFamily: 'monospace' }}>
          {text.slice(0, 4000)}
        </Txt>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {done ? <Press label={t('sendAgain')} onPress={() => void outbox.retry(write.id)} /> : null}
        <Press
          label={open ? t('hideWhatItHolds') : t('whatItHolds')}
          aria-expanded={open}
          onPress={() => setOpen(!open)}
        />
        <Press
          label={t('saveACopy')}
          icon="download"
          onPress={() => saveFile(`write-${write.id}.json`, text, 'application/json')}
        />
        {dropping ? (
          <Press
            label={t('dropItForGood')}
            look="next"
            onPress={() => void outbox.discard(write.id)}
          />
        ) : (
          <Press label={t('dropIt')} onPress={() => setDropping(true)} />
        )}
      </View>
    </Leaf>
  );
}
