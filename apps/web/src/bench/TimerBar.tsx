import { ScrollView, View } from 'react-native';
import { type TimerState, clockOf } from '@cordel/core';
import { timerBar as t } from '@cordel/text/pages/bench/TimerBar';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { FONTS, useInks } from '@/ui/theme';
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
}: {
  timers: Timers;
  /** What was kept last and is not in the heater yet. */
  heat: { label: string; start(): void } | null;
}) {
  const inks = useInks();
  if (timers.timers.length === 0 && !heat) return null;
  return (
    <View
      role="region"
      aria-label={t('timers')}
      style={{ backgroundColor: inks.ink, borderTopWidth: 2, borderColor: inks.ink }}
    >
      <ScrollView horizontal contentContainerStyle={{ gap: 8, padding: 6, alignItems: 'center' }}>
        {heat ? (
          <Press
            label={t('heaterOnLabel', { label: heat.label })}
            look="next"
            onPress={heat.start}
          />
        ) : null}
        {timers.timers.map(({ id, label, phase, seconds }) => (
          <Press
            key={id}
            aria-label={`${PHASES[phase]} ${label}: ${phase === 'done' ? t('takeItOut') : t('clockLeftStop', { clock: clockOf(seconds) })}`}
            look="dark"
            onPress={() => timers.stop(id)}
            style={{ borderColor: inks.leaf, paddingHorizontal: 10 }}
          >
            <View style={{ flexDirection: 'row', gap: 8, alignItems: 'baseline' }}>
              <Txt style={{ color: inks.leaf }}>{`${PHASES[phase]} ${label}`}</Txt>
              <Txt style={{ color: inks.leaf, fontFamily: FONTS.bold, fontSize: 19 }}>
                {phase === 'done' ? t('takeOut') : clockOf(seconds)}
              </Txt>
            </View>
          </Press>
        ))}
      </ScrollView>
    </View>
  );
}
