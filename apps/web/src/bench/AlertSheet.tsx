import { useRouter } from 'expo-router';
import type { ArcStanding } from '@cordel/core';
import { alertSheet as t } from '@cordel/text/pages/bench/AlertSheet';
import { TraceAlerts } from '@/traces/TraceAlerts';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';

/** What wants looking at beside the splice in hand. */
export interface BenchAlerts {
  /** Splices that traces say are to be respliced. */
  traces: number;
  arc: ArcStanding | null;
  /** How many troubles the charts show. */
  trouble: number;
  /** Of the splicer's setup. */
  warnings: number;
}

export const alertCount = ({ traces, arc, trouble, warnings }: BenchAlerts): number =>
  traces + (arc?.state === 'due' ? 1 : 0) + (trouble > 0 ? 1 : 0) + (warnings > 0 ? 1 : 0);

/** Findings of traces, the arc, charts and setup that want looking at, each with the way to it. */
export function AlertSheet({
  alerts,
  base,
  closureId,
  visible,
  onClose,
}: {
  alerts: BenchAlerts;
  /** Path of this closure's Bench. */
  base: string;
  closureId: string;
  visible: boolean;
  onClose(): void;
}) {
  const router = useRouter();
  const go = (path: string) => {
    onClose();
    router.push(`${base}/${path}` as never);
  };
  const { arc, trouble, warnings } = alerts;
  return (
    <Sheet title={t('alerts')} visible={visible} onClose={onClose}>
      <TraceAlerts closureId={closureId} onGo={onClose} />
      {arc?.state === 'due' ? <Button label={t('arcDue')} onPress={() => go('arc')} /> : null}
      {trouble > 0 ? (
        <Button label={t('chartsTrouble', { trouble })} onPress={() => go('charts')} />
      ) : null}
      {warnings > 0 ? (
        <Button label={t('setupWarnings', { warnings })} onPress={() => go('setup')} />
      ) : null}
    </Sheet>
  );
}
