import { type ReactNode, useEffect, useState } from 'react';
import { View } from 'react-native';
import { type Ask, clockOf } from '@cordel/core';
import { askText } from '@cordel/text/prep';
import { stepPanel as t } from '@cordel/text/pages/ui/StepPanel';
import { Button } from './Button';
import { Text } from './Text';
import { TextField } from './TextField';
import { Toggle } from './Toggle';
import { useColors } from './theme';

/** How a yes is kept. */
const YES = 'yes';

interface StepPanelProps {
  asks: readonly Ask[];
  /** Seconds to wait; null without a timer. */
  timerS: number | null;
  answers: Readonly<Record<string, string>>;
  onDone(answers: Record<string, string>): void;
  children?: ReactNode;
}

/** What a step asks for before it is ticked: figures to write down, and a wait. */
export function StepPanel({ asks, timerS, answers, onDone, children }: StepPanelProps) {
  const colors = useColors();
  const [typed, setTyped] = useState<Record<string, string>>(answers);
  const open = asks.filter(({ key }) => !typed[key]?.trim());
  const set = (key: string, value: string) => setTyped({ ...typed, [key]: value });
  return (
    <View style={{ borderLeftWidth: 6, borderColor: colors.ink, paddingLeft: 12, gap: 8 }}>
      {asks.map((ask) =>
        ask.kind === 'yes' ? (
          <Toggle
            key={ask.key}
            label={askText(ask)}
            isOn={typed[ask.key] === YES}
            onChange={(isOn) => set(ask.key, isOn ? YES : '')}
          />
        ) : (
          <TextField
            key={ask.key}
            label={askText(ask)}
            value={typed[ask.key] ?? ''}
            unit={ask.unit || undefined}
            numeric={ask.kind === 'number'}
            onChange={(value) => set(ask.key, value)}
          />
        ),
      )}
      {timerS === null ? null : <Wait seconds={timerS} />}
      {children}
      <Button
        label={t('done')}
        look="next"
        disabled={open.length > 0}
        onPress={() => onDone(typed)}
        style={{ alignSelf: 'flex-start' }}
      />
      {open.length > 0 ? (
        <Text color="ink2">{t('stillToWriteDown', { open: open.map(askText).join(', ') })}</Text>
      ) : null}
    </View>
  );
}

/** A wait that is counted down once it is started. */
function Wait({ seconds }: { seconds: number }) {
  const [endsAt, setEndsAt] = useState<number | null>(null);
  const [left, setLeft] = useState(seconds);
  useEffect(() => {
    if (endsAt === null) return;
    const timer = setInterval(
      () => setLeft(Math.max(0, Math.ceil((endsAt - Date.now()) / 1000))),
      250,
    );
    return () => clearInterval(timer);
  }, [endsAt]);
  return (
    <Button
      icon="timer-outline"
      label={
        endsAt === null
          ? t('startWait', { clock: clockOf(seconds) })
          : left > 0
            ? t('waiting', { clock: clockOf(left) })
            : t('waited')
      }
      onPress={() => {
        setLeft(seconds);
        setEndsAt(Date.now() + seconds * 1000);
      }}
      style={{ alignSelf: 'flex-start' }}
    />
  );
}
