import type { LookedPoint } from '@cordel/core/close';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { View } from 'react-native';
import { common } from '@cordel/text/pages/common';
import { closePage as t } from '@cordel/text/pages/closing/ClosePage';
import { usePerson } from '@/data/session';
import { HardwareConflicts } from '@/prep/HardwareConflicts';
import { useProjectView } from '@/projects/context';
import { NamePanel } from '@/bench/NamePanel';
import { Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { TraceAlerts } from '@/traces/TraceAlerts';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { ListPart } from './ListPart';
import { SignPart } from './SignPart';
import { TestPart } from './TestPart';
import { type Closing, useClosing } from './useClosing';
import { VisitsPart } from './VisitsPart';

const PARTS = ['list', 'test', 'sign', 'visits'] as const;
type Part = (typeof PARTS)[number];

/** Closing a closure: the list before the cover, the pressure test, signatures, and who was here. */
export function ClosePage() {
  const { closureId, part } = useLocalSearchParams<{ closureId: string; part?: string }>();
  const { project } = useProjectView();
  const router = useRouter();
  const [person] = usePerson();
  const { made, write, error } = useClosing(closureId);
  if (person === '') return <NamePanel onward={t('goOnToClosing')} />;
  const chosen = PARTS.find((one) => one === part) ?? 'list';
  return (
    <Page
      title={common('close')}
      above={made?.closure.name ?? project.name}
      back={`/p/${project.id}/route/${closureId}`}
      right={
        <Button
          label={common('labels')}
          icon="qrcode"
          onPress={() => router.push(`/p/${project.id}/kit/labels?closure=${closureId}` as never)}
        />
      }
    >
      {made ? (
        <>
          <View role="tablist" style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
            {PARTS.map((one) => (
              <Button
                key={one}
                role="tab"
                aria-selected={one === chosen}
                label={tabWords(one, made)}
                textSize={16}
                style={{ paddingHorizontal: 10 }}
                look={one === chosen ? 'dark' : 'plain'}
                onPress={() => router.setParams({ part: one })}
              />
            ))}
          </View>
          {made.state.stage === 'signed' ? (
            <Text kind="strong" color="green">
              {t('closedTestedAndSigned')}
            </Text>
          ) : null}
          {chosen === 'list' ? (
            <HardwareConflicts
              closureId={closureId}
              trays={made.closure.trays}
              splices={made.splices}
            />
          ) : null}
          {chosen === 'list' ? <TraceAlerts closureId={closureId} /> : null}
          {chosen === 'list' ? <ListPart closing={made} write={write} /> : null}
          {chosen === 'test' ? <TestPart closing={made} write={write} /> : null}
          {chosen === 'sign' ? <SignPart closing={made} write={write} /> : null}
          {chosen === 'visits' ? <VisitsPart closing={made} write={write} /> : null}
          <NextPart closing={made} part={chosen} />
        </>
      ) : (
        <Waiting error={error} />
      )}
    </Page>
  );
}

function tabWords(part: Part, { state }: Closing): string {
  const answered = state.points.filter(
    (one) => one.state === 'good' || one.state === 'waived',
  ).length;
  switch (part) {
    case 'list':
      return t('listDoneOfAll', { done: answered, all: state.points.length });
    case 'test':
      return t('test');
    case 'sign':
      return t('signSignatures2', { signatures: state.signatures.length });
    case 'visits':
      return t('visits');
  }
}

/** The way on, once a part is done. */
function NextPart({ closing, part }: { closing: Closing; part: Part }) {
  const router = useRouter();
  const { state } = closing;
  const isDone = (points: readonly LookedPoint[]) =>
    points.every((one) => one.state === 'good' || one.state === 'waived');
  const listDone = isDone(state.points);
  // What comes after the test does not hold it up.
  const isClosed = isDone(state.points.filter(({ point }) => point.group !== 'after'));
  const next: Part | null =
    part === 'list' && (listDone || (isClosed && state.test === 'to do'))
      ? state.test === 'to do'
        ? 'test'
        : 'sign'
      : part === 'test' && state.test !== 'to do'
        ? listDone
          ? 'sign'
          : 'list'
        : null;
  if (!next || state.stage === 'signed') return null;
  const words = {
    list: t('backToTheList'),
    test: t('onToThePressureTest'),
    sign: t('onToSigning'),
    visits: '',
  };
  return (
    <Button label={words[next]} look="next" onPress={() => router.setParams({ part: next })} />
  );
}
