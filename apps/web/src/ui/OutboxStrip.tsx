import { useState } from 'react';
import { View } from 'react-native';
import { outbox, useOutbox } from '@/data/client';
import { Leaf } from './Leaf';
import { Press } from './Press';
import { Sheet } from './Sheet';
import { Txt } from './Txt';
import { useInks } from './theme';

/** What waits to be sent, and what was refused: in sight whenever there is any. */
export function OutboxStrip() {
  const inks = useInks();
  const { writes, offline } = useOutbox();
  const [open, setOpen] = useState(false);
  const refused = writes.filter((write) => write.state === 'refused');
  const waiting = writes.length - refused.length;
  const shown = offline || refused.length > 0;
  const words = [
    refused.length > 0 ? `${refused.length} not accepted` : null,
    offline
      ? `no connection, ${waiting} kept here to send`
      : waiting > 0
        ? `${waiting} being sent`
        : null,
  ]
    .filter(Boolean)
    .join(' · ');
  return (
    <>
      {shown ? (
        <View role="status" style={{ backgroundColor: inks.ink }}>
          <Press look="bare" onPress={() => setOpen(true)} aria-label={`Outbox: ${words}`}>
            <Txt style={{ color: inks.leaf, flex: 1 }}>
              {words.charAt(0).toUpperCase() + words.slice(1)}
            </Txt>
            <Txt kind="strong" style={{ color: inks.leaf }}>
              Show
            </Txt>
          </Press>
        </View>
      ) : null}
      <Sheet title="Outbox" visible={open} onClose={() => setOpen(false)}>
        {writes.length === 0 ? <Txt>All is sent.</Txt> : null}
        {writes.map((write) => (
          <Leaf key={write.id} style={{ gap: 8 }}>
            <Txt kind="strong">{write.what}</Txt>
            <Txt ink={write.state === 'refused' ? 'accent' : 'ink2'}>
              {write.state === 'refused' ? `Not accepted: ${write.problem}` : 'Waits to be sent.'}
            </Txt>
            {write.state === 'refused' ? (
              <View style={{ flexDirection: 'row', gap: 8 }}>
                <Press label="Send again" onPress={() => void outbox.retry(write.id)} />
                <Press label="Drop it" onPress={() => void outbox.discard(write.id)} />
              </View>
            ) : null}
          </Leaf>
        ))}
        {offline ? <Press label="Try now" look="next" onPress={() => void outbox.flush()} /> : null}
      </Sheet>
    </>
  );
}
