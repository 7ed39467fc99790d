import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { type PlanError, type Span, plural, wordsOf } from '@cordel/core';
import { planMessageText } from '@cordel/text/plan';
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
      title="Splice plan"
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
        label={building ? 'Close the line maker' : 'Make a line by thumb'}
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
        <Txt kind="strong" ink="accent">{`Line ${error.line + 1}. `}</Txt>
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
      <Txt kind="strong">Not named yet</Txt>
      <Txt ink="ink2">Splice them, or say through, dead or reserve.</Txt>
      {open.map(({ cable, runs }) => {
        const name = /[\s",#]/.test(cable) ? `"${cable}"` : cable;
        return (
          <View key={cable} style={{ gap: 6 }}>
            <Txt>{`${cable} ${wordsOf(runs)}`}</Txt>
            <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
              {(['reserve', 'through'] as const).map((verb) => (
                <Press
                  key={verb}
                  label={`${verb === 'reserve' ? 'Reserve' : 'Through'} ${cable} ${runs.length === 1 ? wordsOf(runs) : plural(runs.length, 'run')}`}
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

const SENTENCES = [
  'splice A tubes 1-6 to B tubes 1-6',
  'splice A 73-96 to C 1-24',
  'splice R ribbons 1-12 to T ribbons 1-12',
  'splice R ribbon 5 to T ribbon 5 reversed',
  'through A tubes 7-12',
  'dead A 17 "nicked"',
  'reserve A tube 9 "clinic"',
];

function Examples() {
  return (
    <Notice word="How a line reads.">
      {`\n${SENTENCES.join('\n')}\nRibbons are fused by mass unless the line says single; # begins a remark.`}
    </Notice>
  );
}
