import { useMemo } from 'react';
import { View } from 'react-native';
import {
  type OpenedEntry,
  type PlanConflict,
  expandPlan,
  fibersOf,
  parsePlan,
  planConflicts,
} from '@cordel/core';
import { planConflictText } from '@cordel/text/prep';
import { planConflicts as t } from '@cordel/text/pages/prep/PlanConflicts';
import { useStoredPlan } from '@/plan/useStoredPlan';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Notice } from '@/ui/Notice';
import type { AssemblyHook } from './useAssembly';

/** Where how a cable enters contradicts the plan, and the way to set it right. */
export function PlanConflicts({
  hook,
  item,
  closureId,
}: {
  hook: AssemblyHook;
  item: OpenedEntry;
  closureId: string;
}) {
  const { planCables } = useProjectView();
  const text = useStoredPlan(closureId).data?.text;
  const { entry, cable, task } = item;
  const tubes = task?.entry.tubes ?? entry.tubes;
  const conflicts = useMemo(() => {
    const list = planCables();
    const { fates } = expandPlan(parsePlan(text ?? '', list), list);
    const passing = fates
      .filter((fate) => fate.verb === 'through' && fate.cable === cable.name)
      .flatMap(({ runs }) => fibersOf(runs));
    return planConflicts(entry, cable, tubes, passing);
  }, [text, planCables, entry, cable, tubes]);
  const set = (conflict: PlanConflict) =>
    hook.change({
      kind: 'enter',
      entryId: entry.id,
      part:
        conflict.code === 'passesButEnds'
          ? { kind: 'express' }
          : {
              tubes: tubes.map((tube) =>
                tube.unit === conflict.unit ? { ...tube, way: 'window' } : tube,
              ),
            },
    });
  return conflicts.map((conflict) => (
    <View key={conflict.runs} style={{ gap: 6 }}>
      <Notice word={t('thePlanSaysOtherwise')} color="accent">
        {planConflictText(conflict)}
      </Notice>
      <Button
        label={t(conflict.code === 'passesButEnds' ? 'itEntersAsExpress' : 'cutAWindowInIt')}
        onPress={() => set(conflict)}
        style={{ alignSelf: 'flex-start' }}
      />
    </View>
  ));
}
