import { View } from 'react-native';
import type { CutOverCircuit, KeptCutOver } from '@cordel/core/close';
import { cutOverRecord as t } from '@cordel/text/pages/closing/CutOverRecord';
import { useClock } from '@/projects/useClock';
import { Leaf } from '@/ui/Leaf';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { useInks } from '@/ui/theme';
import { CutOverChart } from './CutOverChart';
import { circuitWords } from './circuitWords';
import type { ClosingHook } from './useClosing';

/** A cut-over that is under way: a key a circuit, pressed as it goes down and as it is back. */
export function CutOverRecord({ kept, write }: { kept: KeptCutOver; write: ClosingHook['write'] }) {
  const inks = useInks();
  const { clock } = useClock();
  const { entry, plan, circuits } = kept;
  const order = [...circuits].sort((a, b) => startOf(plan, a) - startOf(plan, b));
  const say = (circuit: CutOverCircuit, state: 'down' | 'up') =>
    void write(
      [{ kind: 'circuit', cutOverId: entry.id, circuit: circuit.name, state }],
      `${circuit.name} ${state}`,
    );
  return (
    <Leaf style={{ gap: 12 }}>
      <Txt kind="name" heading={2}>
        {t('cutOverAsItGoes')}
      </Txt>
      <Txt>{t('pressAsEachCircuitGoesDown')}</Txt>
      {order.map((circuit) => (
        <View
          key={circuit.name}
          style={{ gap: 6, borderTopWidth: 1, borderColor: inks.rule, paddingTop: 8 }}
        >
          <Txt>
            <Txt kind="strong">{circuit.name}</Txt>
            {`: ${circuitWords(circuit, clock)}`}
          </Txt>
          {circuit.upAt === null ? (
            <Press
              label={
                circuit.downAt === null
                  ? t('nameIsDown', { name: circuit.name })
                  : t('nameIsBack', { name: circuit.name })
              }
              look={circuit.downAt === null ? 'plain' : 'dark'}
              onPress={() => say(circuit, circuit.downAt === null ? 'down' : 'up')}
            />
          ) : (
            <Press
              label={t('isDownAgain', { name: circuit.name })}
              look="bare"
              style={{ alignSelf: 'flex-start', paddingHorizontal: 0 }}
              onPress={() => say(circuit, 'down')}
            />
          )}
        </View>
      ))}
      <Txt kind="strong">{t('asPlanned')}</Txt>
      <CutOverChart plan={plan} start={new Date(entry.start)} />
    </Leaf>
  );
}

const startOf = (plan: KeptCutOver['plan'], { name }: CutOverCircuit): number =>
  plan.circuits.find((one) => one.name === name)?.from ?? 0;
