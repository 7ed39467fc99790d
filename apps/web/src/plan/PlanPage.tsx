import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type PlanError, type Span, wordsOf } from '@cordel/core';
import { planMessageText } from '@cordel/text/plan';
import { PLAN_EXAMPLES } from '@cordel/text/pages/plan/examples';
import { planPage as t } from '@cordel/text/pages/plan/PlanPage';
import { planShared as shared } from '@cordel/text/pages/plan/shared';
import { useProjectView } from '@/projects/context';
import { Leaf } from '@/ui/Leaf';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { useWide } from '@/ui/useWide';
import { ChangePart } from './ChangePart';
import { LineBuilder } from './LineBuilder';
import { PlanEditor } from './PlanEditor';
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
      title={t('splicePlan')}
      above={plan.closure?.name ?? project.name}
      back={`/p/${project.id}/route/${closureId}`}
    >
      {plan.draft && plan.weighed && plan.closure ? (
        <View style={{ flexDirection: wide ? 'row' : 'column', gap: 24 }}>
          <View style={{ flex: wide ? 1 : undefined, gap: 14 }}>
            <Lines plan={plan} draft={plan.draft} />
          </View>
          <View style={{ flex: wide ? 1 : undefined, gap: 14 }}>
            <ChangePart plan={plan} weighed={plan.weighed} />
            <TrayPart
              plan={plan}
              draft={plan.draft}
              weighed={plan.weighed}
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
  const [goTo, setGoTo] = useState<Span | null>(null);
  const [building, setBuilding] = useState(draft.text.trim() === '');
  const { weighed } = plan;
  const add = (line: string) =>
    plan.change({ text: `${draft.text.trimEnd()}${draft.text.trim() === '' ? '' : '\n'}${line}` });
  return (
    <>
      <PlanEditor
        value={draft.text}
        errors={weighed!.errors}
        goTo={goTo}
        onChange={(text) => plan.change({ text })}
      />
      {weighed!.errors.map((error) => (
        <ErrorLine
          key={`${error.line} ${error.from} ${planMessageText(error.message)}`}
          error={error}
          onPress={() => setGoTo({ line: error.line, from: error.from, to: error.to })}
        />
      ))}
      <Unnamed plan={plan} onAdd={add} />
      <Press
        label={building ? t('closeTheLineBuilder') : t('buildALine')}
        aria-expanded={building}
        icon="playlist-plus"
        onPress={() => setBuilding(!building)}
      />
      {building ? <LineBuilder cables={plan.cables} onAdd={add} /> : null}
      <Examples />
    </>
  );
}

function ErrorLine({ error, onPress }: { error: PlanError; onPress(): void }) {
  return (
    <Press onPress={onPress} style={{ justifyContent: 'flex-start' }}>
      <Txt style={{ flexShrink: 1 }}>
        <Txt kind="strong" ink="accent">
          {t('line', { line: error.line + 1 })}
        </Txt>
        {planMessageText(error.message)}
      </Txt>
    </Press>
  );
}

/** Fibers that no line names, of the cables that the plan uses. */
function Unnamed({ plan, onAdd }: { plan: PlanHook; onAdd(line: string): void }) {
  const { expanded, parsed } = plan.weighed!;
  const used = new Set(
    parsed.lines.flatMap((line) => [line.a.cable, ...(line.b ? [line.b.cable] : [])]),
  );
  const open = expanded.unnamed.filter(({ cable }) => used.has(cable));
  if (open.length === 0) return null;
  return (
    <Leaf style={{ gap: 8 }}>
      <Txt kind="strong">{t('notNamedYet')}</Txt>
      <Txt ink="ink2">{t('spliceThemOrSayThroughDead')}</Txt>
      {open.map(({ cable, runs }) => {
        const name = /[\s",#]/.test(cable) ? `"${cable}"` : cable;
        return (
          <View key={cable} style={{ gap: 6 }}>
            <Txt>{`${cable} ${wordsOf(runs)}`}</Txt>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
              {(['reserve', 'through'] as const).map((verb) => (
                <Press
                  key={verb}
                  label={`${verb === 'reserve' ? shared('reserve') : shared('through')} ${cable} ${runs.length === 1 ? wordsOf(runs) : t('runs', { runs: runs.length })}`}
                  onPress={() => onAdd(`${verb} ${name} ${wordsOf(runs)}`)}
                />
              ))}
            </View>
          </View>
        );
      })}
    </Leaf>
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
