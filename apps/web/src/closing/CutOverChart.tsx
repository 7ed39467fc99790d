import { View } from 'react-native';
import type { CutOverPlan } from '@cordel/core/close';
import { closingShared as t } from '@cordel/text/pages/closing/shared';
import { useClock } from '@/projects/useClock';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';

/** When each circuit is down, as bars, and the sleeves in their order; `start` is the first break. */
export function CutOverChart({ plan, start }: { plan: Omit<CutOverPlan, 'best'>; start: Date }) {
  const colors = useColors();
  const shown = useClock();
  const clock = (minutes: number) => shown.clock(start.getTime() + minutes * 60_000);
  const share = (minutes: number) => `${(100 * minutes) / plan.minutes}%` as const;
  const circuits = [...plan.circuits].sort((a, b) => a.from - b.from);
  return (
    <View style={{ gap: 12 }}>
      <View style={{ gap: 6 }}>
        {circuits.map(({ name, from, to, minutes }) => (
          <View key={name} style={{ gap: 2 }}>
            <Text>
              <Text kind="strong">{name}</Text>
              {t('downToMin', { from: clock(from), to: clock(to), minutes })}
            </Text>
            <View style={{ height: 14, borderWidth: 1, borderColor: colors.rule }}>
              <View
                style={{
                  position: 'absolute',
                  left: share(from),
                  width: share(to - from),
                  top: 0,
                  bottom: 0,
                  backgroundColor: colors.ink,
                }}
              />
            </View>
          </View>
        ))}
      </View>
      <View style={{ gap: 2 }}>
        {plan.steps.map((step, index) => (
          <Text key={index}>
            {t('indexClockFiberFibersDown', {
              index: index + 1,
              clock: clock(step.from),
              fibers: step.job.fibers.join(', '),
              down:
                step.down.length > 0
                  ? t('down', { down: step.down.join(', ') })
                  : t('nothingIsDown'),
            })}
          </Text>
        ))}
      </View>
    </View>
  );
}
