import { View } from 'react-native';
import type { ClosureWork } from '@cordel/client';
import type { BenchMode } from '@cordel/core/session';
import { benchHead as t } from '@cordel/text/pages/bench/BenchHead';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { common } from '@cordel/text/pages/common';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { useShort } from '@/ui/useWide';
import type { Bench } from './useBench';

const MODES: Record<BenchMode, string> = {
  splice: common('splice'),
  redo: t('redo'),
  measure: t('measure'),
};

/** Where the work is and how far, and the keys to what is seldom needed. */
export function BenchHead({
  bench,
  work,
  alerts,
  alertTitle,
  onAlerts,
  onMore,
}: {
  bench: Bench;
  work: ClosureWork;
  /** How many things want looking at. */
  alerts: number;
  /** What traces say of a splice here; null for nothing. On a low screen the count stands for it. */
  alertTitle: string | null;
  onAlerts(): void;
  onMore(): void;
}) {
  const colors = useColors();
  const short = useShort();
  const { sleeve, due, done, last } = bench;
  const count =
    bench.mode === 'splice'
      ? t('doneOfTotal', { done, total: due })
      : t('modeWaiting', { mode: MODES[bench.mode], waiting: bench.waiting });
  return (
    <View>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: 6 }}>
        <View style={{ flex: 1 }}>
          <Text kind="strong" heading={1} numberOfLines={1}>
            {work.closure.name}
          </Text>
          <Text kind="small" numberOfLines={1}>
            {[count, sleeve ? t('traySlot', { tray: sleeve.tray, slot: sleeve.slot }) : null]
              .filter(Boolean)
              .join(' · ')}
          </Text>
        </View>
        {alerts > 0 ? (
          <Button
            label={t('alerts', { alerts })}
            onPress={onAlerts}
            style={{ paddingHorizontal: 6 }}
          >
            <Text kind="strong" color="accent">{`! ${alerts}`}</Text>
          </Button>
        ) : null}
        {last ? (
          <Button
            label={shared('undo', { what: last.words })}
            icon="undo"
            style={{ paddingHorizontal: 6 }}
            onPress={() => {
              bench.dispatch({ type: 'undo' });
              // The key now undoes the step before: Enter keeps the next figure, and must not press it.
              (document.activeElement as HTMLElement | null)?.blur();
            }}
          >
            <></>
          </Button>
        ) : null}
        <Button label={t('more')} textSize={16} onPress={onMore} />
      </View>
      <ProgressBar done={done} total={due} />
      {alertTitle !== null && !short ? (
        <Button
          onPress={onAlerts}
          aria-haspopup="dialog"
          style={{ marginTop: 5, justifyContent: 'flex-start', borderColor: colors.accent }}
        >
          <Text kind="strong" color="accent" numberOfLines={2} role="status" aria-live="polite">
            {alertTitle}
          </Text>
        </Button>
      ) : null}
    </View>
  );
}

function ProgressBar({ done, total }: { done: number; total: number }) {
  const colors = useColors();
  return (
    <View
      style={{ height: 5, marginTop: 3, borderWidth: 1, borderColor: colors.ink }}
      role="progressbar"
      aria-label={t('spliced')}
      aria-valuenow={done}
      aria-valuemin={0}
      aria-valuemax={total}
    >
      <View
        style={{
          height: '100%',
          width: `${total === 0 ? 0 : (100 * done) / total}%`,
          backgroundColor: colors.ink,
        }}
      />
    </View>
  );
}
