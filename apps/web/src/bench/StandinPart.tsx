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
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
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
    <Card style={{ gap: 8, borderStyle: 'dashed' }}>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
        <Text style={{ flex: 1 }}>{t('simulatedSplicer')}</Text>
        <Button label={t('startTheSplice')} disabled={pressing} onPress={() => void press()} />
      </View>
      <View
        role="radiogroup"
        aria-label={t('faultOfTheSimulatedSplicer')}
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}
      >
        {SHOWN.map((word) => (
          <Button
            key={word}
            role="radio"
            aria-checked={fault === word}
            label={word === 'none' ? shared('noFault') : word}
            look={fault === word ? 'dark' : 'plain'}
            textSize={15}
            onPress={() => setFault(word)}
          />
        ))}
      </View>
      {problem ? (
        <Notice word={t('notStarted')} color="accent">
          {problem}
        </Notice>
      ) : null}
    </Card>
  );
}
