import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import {
  type Closure,
  type Present,
  type EvaluatedPlan,
  noRoomMessage,
  withTraysFor,
} from '@cordel/core';
import { layoutReasonText, noRoomText } from '@cordel/text/plan';
import { common } from '@cordel/text/pages/common';
import { trayPart as t } from '@cordel/text/pages/plan/TrayPart';
import { planShared as shared } from '@cordel/text/pages/plan/shared';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { TrayMap } from './TrayMap';
import { type OnTray, traysOf } from './traysOf';
import type { PlanDraft, PlanHook } from './usePlan';

interface TrayPartProps {
  plan: PlanHook;
  draft: PlanDraft;
  evaluated: EvaluatedPlan<Present>;
  closure: Closure;
}

/** What lies on each tray, why, and how near to the best that is. */
export function TrayPart({ plan, draft, evaluated, closure }: TrayPartProps) {
  const [moving, setMoving] = useState<OnTray | null>(null);
  const { layout } = evaluated;
  const { project } = useProjectView();
  const router = useRouter();
  const trays = traysOf(layout.placed, closure.trays, plan.cables);
  const pinTo = (item: OnTray, tray: number | null) => {
    const others = draft.pins.filter((pin) => pin.cable !== item.cable || pin.unit !== item.unit);
    const { cable, unit } = item;
    plan.change({ pins: tray === null ? others : [...others, { cable, unit, tray }] });
    setMoving(null);
  };
  return (
    <Card style={{ gap: 10 }}>
      <Text kind="name" heading={2}>
        {common('trays')}
      </Text>
      <Text>{nearness(evaluated)}</Text>
      {layout.why
        .map((reason) => layoutReasonText(reason))
        .map((sentence) => (
          <Text key={sentence} color="ink2">
            {sentence}
          </Text>
        ))}
      {layout.noRoom.map((missing) => {
        const all = withTraysFor(missing, closure.trays, project.trayCapacity);
        const count = all.length - closure.trays.length;
        return (
          <View key={missing.method} style={{ gap: 8 }}>
            <Notice word={t('noRoom')} color="accent">
              {noRoomText(noRoomMessage(missing, closure.trays))}
            </Notice>
            {count === 0 ? (
              <Button
                label={t('changeTheTrays')}
                onPress={() => router.push(`/p/${project.id}/kit/closures` as never)}
              />
            ) : (
              <Button
                label={t('addTraysFor', {
                  trays: count,
                  method: missing.method === 'mass' ? 'ribbons' : t('singleFibers'),
                })}
                icon="plus"
                onPress={() => void plan.addTrays(missing)}
              />
            )}
          </View>
        );
      })}
      {plan.trayError ? (
        <Notice word={t('notAdded')} color="accent" live>
          {plan.trayError}
        </Notice>
      ) : null}
      <Choice
        label={t('sparePlacesToKeepOnA')}
        value={String(draft.spare)}
        options={['0', '1', '2', '4'].map((value) => ({ value, label: value }))}
        onChange={(value) => plan.change({ spare: Number(value) })}
      />
      <Choice
        label={t('splicesNotMadeYet')}
        value={draft.anew ? 'anew' : 'stay'}
        options={[
          { value: 'stay', label: t('keepTheirPlaces') },
          { value: 'anew', label: t('laidOutAnew') },
        ]}
        onChange={(value) => plan.change({ anew: value === 'anew' })}
      />
      <TrayMap trays={trays} pins={draft.pins} onPick={setMoving} />
      <Sheet
        title={moving ? `${moving.cable} ${moving.words}` : ''}
        visible={moving !== null}
        onClose={() => setMoving(null)}
      >
        <Text>{t('onTrayMadeSplicesStayWhere', { tray: moving?.tray ?? '' })}</Text>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          {closure.trays.map(({ number }) => (
            <Button
              key={number}
              label={shared('trayNumber', { number })}
              look={number === moving?.tray ? 'dark' : 'plain'}
              onPress={() => pinTo(moving!, number)}
            />
          ))}
        </View>
        <Button label={t('letCordelChoose')} onPress={() => pinTo(moving!, null)} />
      </Sheet>
    </Card>
  );
}

function nearness({ layout, change }: EvaluatedPlan<Present>): string {
  if (layout.placed.length === 0) return t('nothingPlannedYet');
  if (layout.trays === 0) return change.moved.length === 0 ? t('allSplicesKeepTheirPlaces') : '';
  const splits = t('splitsOfTubesAndRibbonsNo', {
    splits: layout.splits,
    leastSplits: layout.leastSplits,
  });
  const trays = t('traysNewlyLaidNoFewerThan', {
    trays: layout.trays,
    leastTrays: layout.leastTrays,
  });
  return `${splits}, ${trays}.`;
}
