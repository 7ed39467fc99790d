import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { ClosureWork } from '@cordel/client';
import type { Units } from '@cordel/core';
import { findingEvidence, findingTitle, whereText } from '@cordel/text/otdr';
import { traceAlerts as t } from '@cordel/text/pages/traces/TraceAlerts';
import { useWork } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { useTraceAlerts } from './queries';

type Alert = NonNullable<ReturnType<typeof useTraceAlerts>['data']>[number];

/** The Bench stays in sight: what is more stands with the findings. */
const SHOWN = 2;

/** Such as `Traces: resplice before the tray is closed. A 3 to B 3 …`. */
export const alertTitle = ({ weight, message }: Alert, units: Units): string =>
  `${weight === 'bad' ? t('redoBeforeClosing') : t('lookAt')} ${findingTitle(message, units)}`;

/** Alerts of traces that nobody has respliced for since. */
export function useOpenAlerts(closureId: string): Alert[] {
  const { data } = useTraceAlerts(closureId);
  const work = useWork(closureId);
  return (data ?? []).filter((alert) => !isMadeSince(alert, work.data));
}

/** Splices of a closure that traces say are to be respliced, as they come in while a crew is here. */
export function TraceAlerts({ closureId, onGo }: { closureId: string; onGo?(): void }) {
  const { project } = useProjectView();
  const router = useRouter();
  const open = useOpenAlerts(closureId);
  const go = (path: string) => {
    onGo?.();
    router.push(`/p/${project.id}/${path}` as never);
  };
  const more = open.length - SHOWN;
  const alerts = open.slice(0, SHOWN).map(({ weight, spliceIds, message, where }) => (
    <View key={`${message.code} ${spliceIds.join()}`} style={{ gap: 6 }}>
      <Notice
        word={weight === 'bad' ? t('redoBeforeClosing') : t('lookAt')}
        color={weight === 'bad' ? 'accent' : 'ink'}
        live
      >
        {[
          `${findingTitle(message, project.units)}.`,
          whereText(where, project.units),
          findingEvidence(message, project.units),
        ].join(' ')}
      </Notice>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        {weight === 'bad' ? (
          <Button
            label={t('takeInHand')}
            onPress={() => go(`bench/${closureId}?splice=${spliceIds[0]}`)}
          />
        ) : null}
        <Button label={t('seeTheTraces')} onPress={() => go('ledger/findings')} />
      </View>
    </View>
  ));
  return (
    <>
      {alerts}
      {more > 0 ? <Text kind="strong">{t('more', { more })}</Text> : null}
    </>
  );
}

/** Whether all its splices were respliced after the traces that speak of them came in. */
const isMadeSince = ({ spliceIds, at }: Alert, work: ClosureWork | undefined): boolean =>
  spliceIds.every((id) =>
    work?.evidence.some(
      (entry) =>
        entry.type === 'attempt' && entry.spliceId === id && Date.parse(entry.at) > Date.parse(at),
    ),
  );
