import { useState } from 'react';
import { View } from 'react-native';
import { outbox, useOutbox } from '@/data/client';
import { useClockOff } from '@/data/clock';
import { useRestored } from '@/data/restored';
import type { Write } from '@cordel/client';
import { outboxStrip as t } from '@cordel/text/pages/ui/OutboxStrip';
import { shownSpan, toldText } from '@cordel/text/record';
import { OutboxItem } from './OutboxItem';
import { Button } from './Button';
import { Notice } from './Notice';
import { Sheet } from './Sheet';
import { Text } from './Text';
import { useColors } from './theme';

/** What waits to be sent, and what was refused: in sight whenever there is any. */
export function OutboxStrip() {
  const colors = useColors();
  const { writes, offline, failing, noRoom, awaited, lacked } = useOutbox();
  const clockOff = useClockOff();
  const [restored, dismiss] = useRestored();
  const [open, setOpen] = useState(false);
  const count = (state: Write['state']) => writes.filter((write) => write.state === state).length;
  const [refused, aside, waiting] = [count('refused'), count('set aside'), count('waiting')];
  const unsafe = writes.filter((write) => write.unsafe).length;
  const unknown = writes.filter((write) => write.unknown).length;
  const shown =
    clockOff !== 0 ||
    restored !== null ||
    offline ||
    failing ||
    awaited !== undefined ||
    refused + aside + unsafe + unknown > 0;
  const words = [
    refused > 0 ? t('refusedNotAccepted', { refused }) : null,
    aside > 0 ? t('asideSetAside', { aside }) : null,
    unknown > 0 ? t('keptForANewerVersionOf', { unknown }) : null,
    unsafe > 0 ? t('notSafeNoRoomOnThis', { unsafe }) : null,
    restored !== null ? t('restored') : null,
    clockOff !== 0
      ? t(clockOff > 0 ? 'clockSlow' : 'clockFast', {
          by: shownSpan({ spanMs: Math.abs(clockOff) }),
        })
      : null,
    awaited ? t('keptUntilSignIn', { people: awaited.join(', ') }) : null,
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
      {lacked ? (
        <View style={{ padding: 8, gap: 8, borderTopWidth: 2, borderColor: colors.ink }}>
          <Notice word={t('notAllowed')} color="accent" live>
            {toldText({ code: 'rightMissing', right: lacked })}
          </Notice>
          <Button label={t('read')} onPress={() => outbox.forgetLacked()} />
        </View>
      ) : null}
      {shown ? (
        <View role="status" style={{ backgroundColor: colors.ink }}>
          <Button
            look="bare"
            onPress={() => setOpen(true)}
            aria-label={t('outboxState', { state: words })}
          >
            <Text style={{ color: colors.leaf, flex: 1 }}>
              {words.charAt(0).toUpperCase() + words.slice(1)}
            </Text>
            <Text kind="strong" style={{ color: colors.leaf }}>
              {t('show')}
            </Text>
          </Button>
        </View>
      ) : null}
      <Sheet title={t('outbox')} visible={open} onClose={() => setOpen(false)}>
        {writes.length === 0 ? <Text>{t('allIsSent')}</Text> : null}
        {restored !== null ? (
          <>
            <Text>{t('restoredSays', { writes: restored })}</Text>
            <Button label={t('read')} onPress={dismiss} />
          </>
        ) : null}
        {clockOff !== 0 ? <Text>{t('clockCorrected')}</Text> : null}
        {noRoom ? <Text>{toldText(noRoom)}</Text> : null}
        {writes.map((write) => (
          <OutboxItem key={write.id} write={write} />
        ))}
        {offline || failing ? (
          <Button label={t('tryNow')} look="next" onPress={() => void outbox.flush()} />
        ) : null}
      </Sheet>
    </>
  );
}
