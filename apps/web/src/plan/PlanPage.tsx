import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type PlanError, type Span, wordsOf } from '@cordel/core';
import { planMessageText } from '@cordel/text/plan';
import { PLAN_EXAMPLES } from '@cordel/text/pages/plan/examples';
import { planPage as t } from '@cordel/text/pages/plan/PlanPage';
import { planShared as shared } from '@cordel/text/pages/plan/shared';
import { HardwareConflicts } from '@/prep/HardwareConflicts';
import { useProjectView } from '@/projects/context';
import { Card } from '@/ui/Card';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useWide } from '@/ui/useWide';
import { ChangePart } from './ChangePart';
import { CopyPlan } from './CopyPlan';
import { DevicesPart } from './DevicesPart';
import { LineBuilder } from './LineBuilder';
import { PlanEditor } from './PlanEditor';
import { onDevices } from './onDevices';
import { TrayPart } from './TrayPart';
import { type PlanDraft, type PlanHook, usePlan } from './usePlan';

/** A closure's splice plan: its lines, what they would change, and its trays. */
export function PlanPage() {
  const { closureId } = useLocalSearchParams<{ closureId: string }>();
  const { project } = useProjectView();
  const plan = usePlan(closureId);
  const wide = useWide();
  return (
    <Page
      needs="decide"
      title={t('splicePlan')}
      above={plan.closure?.name ?? project.name}
      back={`/p/${project.id}/route/${closureId}`}
    >
      {plan.draft && plan.evaluated && plan.closure ? (
        <View style={{ flexDirection: wide ? 'row' : 'column', gap: 24 }}>
          <View style={{ flex: wide ? 1 : undefined, gap: 14 }}>
            <Lines plan={plan} draft={plan.draft} />
            <DevicesPart
              closureId={closureId}
              planned={onDevices(plan.evaluated.expanded, plan.cables)}
            />
          </View>
          <View style={{ flex: wide ? 1 : undefined, gap: 14 }}>
            <HardwareConflicts
              closureId={closureId}
              trays={plan.closure.trays}
              splices={plan.evaluated.layout.placed}
            />
            <ChangePart plan={plan} evaluated={plan.evaluated} />
            <TrayPart
              plan={plan}
              draft={plan.draft}
              evaluated={plan.evaluated}
              closure={plan.closure}
            />
          </View>
        </View>
      ) : (
        <Waiting error={plan.error} />
      )}
    </Page>
  );
}

function Lines({ plan, draft }: { plan: PlanHook; draft: PlanDraft }) {
  const { assemblies, cable } = useProjectView();
  const entries = assemblies.find(({ closureId }) => closureId === plan.closure?.id)?.entries ?? [];
  const express = entries
    .filter(({ kind }) => kind === 'express')
    .flatMap(({ cableId }) => cable(cableId)?.name ?? []);
  const [goTo, setGoTo] = useState<Span | null>(null);
  const [building, setBuilding] = useState(draft.text.trim() === '');
  const { evaluated } = plan;
  const add = (line: string) =>
    plan.change({ text: `${draft.text.trimEnd()}${draft.text.trim() === '' ? '' : '\n'}${line}` });
  return (
    <>
      <PlanEditor
        value={draft.text}
        errors={evaluated!.errors}
        goTo={goTo}
        onChange={(text) => plan.change({ text })}
      />
      {evaluated!.errors.map((error) => (
        <ErrorLine
          key={`${error.line} ${error.from} ${planMessageText(error.message)}`}
          error={error}
          onPress={() => setGoTo({ line: error.line, from: error.from, to: error.to })}
        />
      ))}
      <Unnamed plan={plan} onAdd={add} />
      <Button
        label={building ? t('closeTheLineBuilder') : t('buildALine')}
        aria-expanded={building}
        icon="playlist-plus"
        onPress={() => setBuilding(!building)}
      />
      {building ? <LineBuilder cables={plan.cables} express={express} onAdd={add} /> : null}
      <CopyPlan closureId={plan.closure!.id} cables={plan.cables} onCopy={add} />
      <Examples />
    </>
  );
}

function ErrorLine({ error, onPress }: { error: PlanError; onPress(): void }) {
  return (
    <Button onPress={onPress} style={{ justifyContent: 'flex-start' }}>
      <Text style={{ flexShrink: 1 }}>
        <Text kind="strong" color="accent">
          {t('line', { line: error.line + 1 })}
        </Text>
        {planMessageText(error.message)}
      </Text>
    </Button>
  );
}

/** Fibers that no line names, of the cables that the plan uses. */
function Unnamed({ plan, onAdd }: { plan: PlanHook; onAdd(line: string): void }) {
  const { expanded, parsed } = plan.evaluated!;
  const used = new Set(
    parsed.lines.flatMap((line) => [line.a.cable, ...(line.b ? [line.b.cable] : [])]),
  );
  const open = expanded.unnamed.filter(({ cable }) => used.has(cable));
  if (open.length === 0) return null;
  return (
    <Card style={{ gap: 8 }}>
      <Text kind="strong">{t('notNamedYet')}</Text>
      <Text color="ink2">{t('spliceThemOrSayThroughDead')}</Text>
      {open.map(({ cable, runs }) => {
        const name = /[\s",#]/.test(cable) ? `"${cable}"` : cable;
        return (
          <View key={cable} style={{ gap: 6 }}>
            <Text>{`${cable} ${wordsOf(runs)}`}</Text>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
              {(['reserve', 'through'] as const).map((verb) => (
                <Button
                  key={verb}
                  label={`${verb === 'reserve' ? shared('reserve') : shared('through')} ${cable} ${runs.length === 1 ? wordsOf(runs) : t('runs', { runs: runs.length })}`}
                  onPress={() => onAdd(`${verb} ${name} ${wordsOf(runs)}`)}
                />
              ))}
            </View>
          </View>
        );
      })}
    </Card>
  );
}

function Examples() {
  return (
    <Notice word={t('howALineReads')}>
      {`\n${PLAN_EXAMPLES.join('\n')}\n`}
      {t('ribbonsAreFusedByMassUnless')}
    </Notice>
  );
}
