import { View } from 'react-native';
import type { CutOverCircuit, KeptCutOver } from '@cordel/core/close';
import { cutOverRecord as t } from '@cordel/text/pages/closing/CutOverRecord';
import { useClock } from '@/projects/useClock';
import { Card } from '@/ui/Card';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import { CutOverChart } from './CutOverChart';
import { circuitWords } from './circuitWords';
import type { ClosingHook } from './useClosing';

/** A cut-over that is under way: a key a circuit, pressed as it goes down and as it is back. */
export function CutOverRecord({ kept, write }: { kept: KeptCutOver; write: ClosingHook['write'] }) {
  const colors = useColors();
  const { clock } = useClock();
  const { entry, plan, circuits } = kept;
  const order = [...circuits].sort((a, b) => startOf(plan, a) - startOf(plan, b));
  const say = (circuit: CutOverCircuit, state: 'down' | 'up') =>
    void write(
      [{ kind: 'circuit', cutOverId: entry.id, circuit: circuit.name, state }],
      `${circuit.name} ${state}`,
    );
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('cutOverAsItGoes')}
      </Text>
      <Text>{t('pressAsEachCircuitGoesDown')}</Text>
      {order.map((circuit) => (
        <View
          key={circuit.name}
          style={{ gap: 6, borderTopWidth: 1, borderColor: colors.rule, paddingTop: 8 }}
        >
          <Text>
            <Text kind="strong">{circuit.name}</Text>
            {`: ${circuitWords(circuit, clock)}`}
          </Text>
          {circuit.upAt === null ? (
            <Button
              label={
                circuit.downAt === null
                  ? t('nameIsDown', { name: circuit.name })
                  : t('nameIsBack', { name: circuit.name })
              }
              look={circuit.downAt === null ? 'plain' : 'dark'}
              onPress={() => say(circuit, circuit.downAt === null ? 'down' : 'up')}
            />
          ) : (
            <Button
              label={t('isDownAgain', { name: circuit.name })}
              look="bare"
              style={{ alignSelf: 'flex-start', paddingHorizontal: 0 }}
              onPress={() => say(circuit, 'down')}
            />
          )}
        </View>
      ))}
      <Text kind="strong">{t('asPlanned')}</Text>
      <CutOverChart plan={plan} start={new Date(entry.start)} />
    </Card>
  );
}

const startOf = (plan: KeptCutOver['plan'], { name }: CutOverCircuit): number =>
  plan.circuits.find((one) => one.name === name)?.from ?? 0;
