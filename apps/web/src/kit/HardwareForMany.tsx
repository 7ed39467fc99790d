import { useState } from 'react';
import { View } from 'react-native';
import type { Closure } from '@cordel/core';
import { commands } from '@cordel/client';
import { hardwareForMany as t } from '@cordel/text/pages/kit/HardwareForMany';
import { errorText } from '@cordel/text/record';
import { outbox } from '@/data/client';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Notice } from '@/ui/Notice';
import { Select } from '@/ui/Select';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { Toggle } from '@/ui/Toggle';

interface HardwareForManyProps {
  closures: readonly Closure[];
  hardwareOf(closureId: string): string;
}

/** One piece of hardware for several closures at once; those that have none are proposed. */
export function HardwareForMany({ closures, hardwareOf }: HardwareForManyProps) {
  const { hardware, isArchived } = useProjectView();
  const [isOpen, setOpen] = useState(false);
  const [hardwareId, setHardware] = useState('');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState('');
  const name = hardware.find(({ id }) => id === hardwareId)?.name ?? '';
  const replaced = closures.filter(
    ({ id }) => chosen.has(id) && hardwareOf(id) !== '' && hardwareOf(id) !== name,
  );
  const open = () => {
    setChosen(new Set(closures.filter(({ id }) => hardwareOf(id) === '').map(({ id }) => id)));
    setProblem('');
    setOpen(true);
  };
  const turn = (id: string, isOn: boolean) =>
    setChosen(new Set(isOn ? [...chosen, id] : [...chosen].filter((other) => other !== id)));
  const save = async () => {
    const wanted = closures.filter(({ id }) => chosen.has(id) && hardwareOf(id) !== name);
    const outcomes = await Promise.all(
      wanted.map((closure) =>
        outbox.add(
          commands.changeAssemblyOf,
          { closureId: closure.id, change: { kind: 'hardware', hardwareId } },
          t('hardwareOf', { name: closure.name }),
        ),
      ),
    );
    const refused = outcomes.find((outcome) => 'refused' in outcome);
    if (refused && 'refused' in refused) setProblem(errorText(refused.refused));
    else setOpen(false);
  };
  return (
    <>
      <Button label={t('hardwareForSeveral')} onPress={open} />
      <Sheet title={t('hardwareForSeveral')} visible={isOpen} onClose={() => setOpen(false)}>
        <Select
          label={t('hardware')}
          value={hardwareId}
          wanting={hardwareId === ''}
          options={[
            { value: '', label: t('chooseHardware') },
            ...hardware
              .filter((one) => !isArchived(one))
              .map(({ id, name: own }) => ({ value: id, label: own })),
          ]}
          onChange={setHardware}
        />
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <Button
            label={t('all')}
            onPress={() => setChosen(new Set(closures.map(({ id }) => id)))}
          />
          <Button label={t('none')} onPress={() => setChosen(new Set())} />
        </View>
        {closures.map(({ id, name: own }) => (
          <View key={id} style={{ gap: 2 }}>
            <Toggle label={own} isOn={chosen.has(id)} onChange={(isOn) => turn(id, isOn)} />
            <Text kind="small">{hardwareOf(id) || t('hasNone')}</Text>
          </View>
        ))}
        {replaced.length > 0 ? (
          <Notice word={t('check')} color="accent">
            {t('replaces', { closures: replaced.map((closure) => closure.name).join(', ') })}
          </Notice>
        ) : null}
        {problem ? (
          <Notice word={t('notSaved')} color="accent" live>
            {problem}
          </Notice>
        ) : null}
        <Button
          label={t('useFor', { closures: chosen.size })}
          look="next"
          disabled={hardwareId === '' || chosen.size === 0}
          onPress={() => void save()}
        />
      </Sheet>
    </>
  );
}
