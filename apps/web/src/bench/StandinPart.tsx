import { useState } from 'react';
import { View } from 'react-native';
import { FAULTS, type Fault } from '@cordel/core';
import { fusedTogether } from '@cordel/core/session';
import { standinPart as t } from '@cordel/text/pages/bench/StandinPart';
import { benchShared as shared } from '@cordel/text/pages/bench/shared';
import { errorText } from '@cordel/text/record';
import { v7 as uuid } from 'uuid';
import { api } from '@/data/api';
import { usePersisted } from '@/data/storage';
import { Choice } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { useColors } from '@/ui/theme';
import type { Bench } from './useBench';
import type { Setup } from './useSetup';

/** Faults that show on the splicer itself; the others are the trainer's. */
const SHOWN: readonly Fault[] = FAULTS.filter((fault) =>
  ['none', 'chip', 'dirt', 'offset', 'worn electrodes'].includes(fault),
);

/** The keys of the simulated splicer: what a thumb does on a real one. */
export function StandinPart({
  projectId,
  bench,
  setup,
}: {
  projectId: string;
  bench: Bench;
  setup: Setup;
}) {
  const [fault, setFault] = usePersisted('cordel.standin.fault', 'none');
  const [problem, setProblem] = useState('');
  const [pressing, setPressing] = useState(false);
  const [choosing, setChoosing] = useState(false);
  const colors = useColors();
  const { sleeve } = bench;
  const { setup: chosen, splicer } = setup;
  if (!sleeve || !splicer) return null;
  const press = async () => {
    setPressing(true);
    setProblem('');
    try {
      await api.POST('/api/projects/{projectId}/standins/{splicerId}/arc', {
        params: { path: { projectId, splicerId: splicer.id } },
        body: {
          id: uuid(),
          spliceIds: fusedTogether(sleeve.splices).map(({ id }) => id),
          program: chosen.program ?? '',
          heater: chosen.heaterProgram,
          faults: SHOWN.filter((one) => one === fault && one !== 'none'),
          tensionOff: false,
        },
      });
    } catch (error) {
      setProblem(errorText(error as Error));
    }
    setPressing(false);
  };
  return (
    <View style={{ flexDirection: 'row', gap: 6 }}>
      <Button
        label={t('startTheSplice')}
        disabled={pressing}
        onPress={() => void press()}
        style={{ flex: 1 }}
      />
      <Button
        aria-label={t('faultOfTheSimulatedSplicer')}
        aria-haspopup="dialog"
        textSize={15}
        label={fault === 'none' ? shared('noFault') : fault}
        onPress={() => setChoosing(true)}
        style={problem ? { borderColor: colors.accent, borderWidth: 4 } : undefined}
      />
      <Sheet
        title={t('simulatedSplicer')}
        visible={choosing || problem !== ''}
        onClose={() => {
          setChoosing(false);
          setProblem('');
        }}
      >
        {problem ? (
          <Notice word={t('notStarted')} color="accent">
            {problem}
          </Notice>
        ) : null}
        <Choice
          label={t('faultOfTheSimulatedSplicer')}
          value={fault as Fault}
          options={SHOWN.map((value) => ({
            value,
            label: value === 'none' ? shared('noFault') : value,
          }))}
          onChange={(value) => {
            setFault(value);
            setChoosing(false);
          }}
        />
      </Sheet>
    </View>
  );
}
