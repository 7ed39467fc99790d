import { useState } from 'react';
import { View } from 'react-native';
import { outbox, useOutbox } from '@/data/client';
import type { Write } from '@cordel/client';
import { OutboxItem } from './OutboxItem';
import { Press } from './Press';
import { Sheet } from './Sheet';
import { Txt } from './Txt';
import { useInks } from './theme';

/** What waits to be sent, and what was refused: in sight whenever there is any. */
export function OutboxStrip() {
  const inks = useInks();
  const { writes, offline, failing, noRoom } = useOutbox();
  const [open, setOpen] = useState(false);
  const count = (state: Write['state']) => writes.filter((write) => write.state === state).length;
  const [refused, aside, waiting] = [count('refused'), count('set aside'), count('waiting')];
  const unsafe = writes.filter((write) => write.unsafe).length;
  const unknown = writes.filter((write) => write.unknown).length;
  const shown = offline || failing || refused + aside + unsafe + unknown > 0;
  const words = [
    refused > 0 ? `${refused} not accepted` : null,
    aside > 0 ? `${aside} set aside` : null,
    unknown > 0 ? `${unknown} kept for a newer version of this page` : null,
    unsafe > 0 ? `${unsafe} not safe: no room on this device` : null,
    offline
      ? `no connection, ${waiting} kept here to send`
      : noRoom
        ? `the server’s disk is full, ${waiting} kept here to send`
        : failing
          ? `the server has trouble, ${waiting} kept here to send`
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
        {noRoom ? <Txt>{noRoom}</Txt> : null}
        {writes.map((write) => (
          <OutboxItem key={write.id} write={write} />
        ))}
        {offline || failing ? (
          <Press label="Try now" look="next" onPress={() => void outbox.flush()} />
        ) : null}
      </Sheet>
    </>
  );
}
