import { useState } from 'react';
import { View } from 'react-native';
import { outbox, useOutbox } from '@/data/client';
import type { Write } from '@cordel/client';
import { outboxStrip as t } from '@cordel/text/pages/ui/OutboxStrip';
import { toldText } from '@cordel/text/record';
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
    refused > 0 ? t('refusedNotAccepted', { refused }) : null,
    aside > 0 ? t('asideSetAside', { aside }) : null,
    unknown > 0 ? t('keptForANewerVersionOf', { unknown }) : null,
    unsafe > 0 ? t('notSafeNoRoomOnThis', { unsafe }) : null,
    offline
      ? t('noConnectionKeptHereToSend', { waiting })
      : noRoom
        ? t('theServersDiskIsFullKept', { waiting })
        : failing
          ? t('theServerHasTroubleKeptHere', { waiting })
          : waiting > 0
            ? t('waitingBeingSent', { waiting })
            : null,
  ]
    .filter(Boolean)
    .join(' · ');
  return (
    <>
      {shown ? (
        <View role="status" style={{ backgroundColor: inks.ink }}>
          <Press
            look="bare"
            onPress={() => setOpen(true)}
            aria-label={t('outboxState', { state: words })}
          >
            <Txt style={{ color: inks.leaf, flex: 1 }}>
              {words.charAt(0).toUpperCase() + words.slice(1)}
            </Txt>
            <Txt kind="strong" style={{ color: inks.leaf }}>
              {t('show')}
            </Txt>
          </Press>
        </View>
      ) : null}
      <Sheet title={t('outbox')} visible={open} onClose={() => setOpen(false)}>
        {writes.length === 0 ? <Txt>{t('allIsSent')}</Txt> : null}
        {noRoom ? <Txt>{toldText(noRoom)}</Txt> : null}
        {writes.map((write) => (
          <OutboxItem key={write.id} write={write} />
        ))}
        {offline || failing ? (
          <Press label={t('tryNow')} look="next" onPress={() => void outbox.flush()} />
        ) : null}
      </Sheet>
    </>
  );
}
