import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { type TimerState, clockOf } from '@cordel/core';
import { timerBar as t } from '@cordel/text/pages/bench/TimerBar';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { FONTS, useColors } from '@/ui/theme';
import type { Timers } from './useTimers';

const PHASES: Record<TimerState['phase'], string> = {
  heater: t('heater'),
  cooling: t('cooling'),
  adhesive: shared('adhesive'),
  'warm-up': 'Warm-up',
  done: shared('done'),
};

/** Timers that run, each with what lies in it, on a dark bar above the thumb. */
export function TimerBar({
  timers,
  heat,
  children,
}: {
  timers: Timers;
  /** What was kept last and is not in the heater yet. */
  heat: { label: string; start(): void } | null;
  /** What stands before them: the keys of a simulated splicer. */
  children?: ReactNode;
}) {
  const colors = useColors();
  if (timers.timers.length === 0 && !heat && !children) return null;
  return (
    <View
      role="region"
      aria-label={t('timers')}
      style={{ backgroundColor: colors.ink, borderTopWidth: 2, borderColor: colors.ink }}
    >
      <ScrollView horizontal contentContainerStyle={{ gap: 6, padding: 2, alignItems: 'center' }}>
        {children}
        {heat ? (
          <Button
            label={t('heaterOnLabel', { label: heat.label })}
            look="next"
            onPress={heat.start}
          />
        ) : null}
        {timers.timers.map(({ id, label, phase, seconds }) => (
          <Button
            key={id}
            aria-label={`${PHASES[phase]} ${label}: ${phase === 'done' ? t('takeItOut') : t('clockLeftStop', { clock: clockOf(seconds) })}`}
            look="dark"
            onPress={() => timers.stop(id)}
            style={{ borderColor: colors.leaf, paddingHorizontal: 10 }}
          >
            <View style={{ flexDirection: 'row', gap: 8, alignItems: 'baseline' }}>
              <Text style={{ color: colors.leaf }}>{`${PHASES[phase]} ${label}`}</Text>
              <Text style={{ color: colors.leaf, fontFamily: FONTS.bold, fontSize: 19 }}>
                {phase === 'done' ? t('takeOut') : clockOf(seconds)}
              </Text>
            </View>
          </Button>
        ))}
      </ScrollView>
    </View>
  );
}
