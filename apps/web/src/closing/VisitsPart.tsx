import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { type Evidence, emptyAssembly } from '@cordel/core';
import {
  REENTRY_STEPS,
  closingSplices,
  cutOversOf,
  reentryScope,
  underPressure,
  visitsOf,
} from '@cordel/core/close';
import { reentryText } from '@cordel/text/close';
import { visitsPart as t } from '@cordel/text/pages/closing/VisitsPart';
import { closingShared as shared } from '@cordel/text/pages/closing/shared';
import { useWork } from '@/data/queries';
import { useProjectView } from '@/projects/context';
import { Grid } from '@/ui/Grid';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import { CutOverPart } from './CutOverPart';
import { CutOverRecord } from './CutOverRecord';
import { VisitForm } from './VisitForm';
import { VisitLeaf } from './VisitLeaf';
import type { Closing, ClosingHook } from './useClosing';

interface VisitsPartProps {
  closing: Closing;
  write: ClosingHook['write'];
}

const NONE: Evidence[] = [];

/** Who was here when, and the way to open the closure again. */
export function VisitsPart({ closing, write }: VisitsPartProps) {
  const work = useWork(closing.closure.id);
  const evidence = work.data?.evidence ?? NONE;
  const visits = useMemo(
    () => visitsOf(closing.entries, evidence).reverse(),
    [closing.entries, evidence],
  );
  const { visit } = closing.state;
  return (
    <View style={{ gap: 16 }}>
      {visit && visit.purpose !== 'build' ? <Reentry closing={closing} /> : null}
      {visit?.purpose === 'cut-over' ? <CutOver closing={closing} write={write} /> : null}
      <VisitForm closing={closing} write={write} />
      <LeaveForm closing={closing} write={write} />
      <Grid least={480} gap={16}>
        {visits.map((record) => (
          <VisitLeaf
            key={record.visit?.id ?? record.from}
            record={record}
            closing={closing}
            write={write}
          />
        ))}
      </Grid>
    </View>
  );
}

/** The cut-over of the visit under way: planned, then followed as it goes. */
function CutOver({ closing, write }: VisitsPartProps) {
  const [again, setAgain] = useState(false);
  const start = closing.entries.findLastIndex(({ kind }) => kind === 'visit');
  const kept = cutOversOf(closing.entries.slice(start)).at(-1);
  // One that is kept anew takes the place of the one before.
  const [shown, setShown] = useState(kept?.entry.id);
  if (kept && kept.entry.id !== shown) {
    setShown(kept.entry.id);
    setAgain(false);
  }
  if (!kept || again) return <CutOverPart closing={closing} write={write} />;
  return (
    <>
      <CutOverRecord kept={kept} write={write} />
      <Button label={t('planTheCutOverAnew')} onPress={() => setAgain(true)} />
    </>
  );
}

/** What a closure that was closed before is opened for: only what changes. */
function Reentry({ closing }: { closing: Closing }) {
  const view = useProjectView();
  const router = useRouter();
  const { closure } = closing;
  const work = useWork(closure.id);
  const assembly =
    view.assemblies.find(({ closureId }) => closureId === closure.id) ?? emptyAssembly(closure.id);
  const scope = reentryScope({
    closure,
    assembly,
    hardware: closing.hardware,
    splices: closingSplices(
      work.data?.splices ?? [],
      work.data?.evidence ?? NONE,
      view.project.limits,
    ),
    cableName: (id) => view.cable(id)?.name ?? id,
    isDevice: (id) => view.devices.some((device) => device.id === id),
  });
  const go = (path: string) => router.push(`/p/${view.project.id}/${path}` as never);
  return (
    <Card style={{ gap: 8 }}>
      <Text kind="name" heading={2}>
        {t('openedAgainOnlyWhatChanges')}
      </Text>
      <Text kind="strong">
        {scope.trays.length === 0
          ? t('nothingIsToBeSplicedYet', { splices: scope.left })
          : t('inTrayStayAsTheyAre', {
              work: [
                scope.fresh > 0 ? t('freshNew', { fresh: scope.fresh }) : '',
                scope.redo > 0 ? t('redoToRedo', { redo: scope.redo }) : '',
              ]
                .filter(Boolean)
                .join(', '),
              trays: scope.trays.join(', '),
              splices: scope.left,
            })}
      </Text>
      {scope.ports.length > 0 ? (
        <Text>{t('portsToOpen', { ports: scope.ports.join(', ') })}</Text>
      ) : null}
      {REENTRY_STEPS.map((step, index) => (
        <Text key={step}>{`${index + 1}. ${reentryText(step)}`}</Text>
      ))}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Button
          label={t('planWhatChanges')}
          look="next"
          onPress={() => go(`route/${closure.id}/plan`)}
        />
        <Button label={t('enterANewCable')} onPress={() => go(`route/${closure.id}/open`)} />
        <Button label={t('goToTheBench')} onPress={() => go(`bench/${closure.id}`)} />
      </View>
    </Card>
  );
}

function LeaveForm({ closing, write }: VisitsPartProps) {
  const [done, setDone] = useState('');
  if (closing.state.visit === null) return null;
  return (
    <Card style={{ gap: 8 }}>
      <Text kind="strong">{t('leavingSayWhatWasDoneMounted')}</Text>
      {underPressure(closing.state.rounds) ? (
        <Notice word={shared('notYet')} color="accent">
          {t('pressureIsOnReleaseItFirst')}
        </Notice>
      ) : (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}>
          <TextField label={t('whatWasDone')} value={done} onChange={setDone} />
          <Button
            label={t('saveAndLeave')}
            disabled={done.trim() === ''}
            onPress={() => {
              void write([{ kind: 'leave', done: done.trim() }], 'left');
              setDone('');
            }}
          />
        </View>
      )}
    </Card>
  );
}
