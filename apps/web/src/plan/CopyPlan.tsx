import { useState } from 'react';
import { View } from 'react-native';
import { type ListCable, parsePlan, renameAllInPlan } from '@cordel/core';
import { copyPlan as t } from '@cordel/text/pages/plan/CopyPlan';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Select } from '@/ui/Select';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';
import { useStoredPlan } from './useStoredPlan';

interface CopyPlanProps {
  closureId: string;
  /** Cables that may be named here. */
  cables: readonly ListCable[];
  onCopy(text: string): void;
}

/** The plan of another closure as a beginning for this one, with a cable of here for each of there. */
export function CopyPlan({ closureId, cables, onCopy }: CopyPlanProps) {
  const { closures, isArchived } = useProjectView();
  const [isOpen, setOpen] = useState(false);
  const [from, setFrom] = useState('');
  const others = closures.filter((one) => one.id !== closureId && !isArchived(one));
  if (others.length === 0) return null;
  return (
    <>
      <Button label={t('copyFrom')} icon="content-copy" onPress={() => setOpen(true)} />
      <Sheet title={t('copyFrom')} visible={isOpen} onClose={() => setOpen(false)}>
        <Select
          label={t('closure')}
          value={from}
          options={[
            { value: '', label: t('chooseAClosure') },
            ...others.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={setFrom}
        />
        {from === '' ? null : (
          <Copied
            key={from}
            from={from}
            cables={cables}
            onCopy={(text) => {
              setOpen(false);
              onCopy(text);
            }}
          />
        )}
      </Sheet>
    </>
  );
}

function Copied({
  from,
  cables,
  onCopy,
}: {
  from: string;
  cables: readonly ListCable[];
  onCopy(text: string): void;
}) {
  const { planCables } = useProjectView();
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({});
  const stored = useStoredPlan(from);
  const text = stored.data?.text ?? '';
  if (stored.isPending) return <Text>{t('reading')}</Text>;
  if (text.trim() === '') return <Text>{t('noPlanThere')}</Text>;
  const there = planCables();
  const named = [
    ...new Set(
      parsePlan(text, there).lines.flatMap(({ a, b }) => (b ? [a.cable, b.cable] : [a.cable])),
    ),
  ];
  const meant = new Map(named.map((name) => [name, chosen[name] ?? name]));
  return (
    <View style={{ gap: 10 }}>
      {named.map((name) => (
        <View
          key={name}
          style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}
        >
          <Text kind="strong" style={{ minWidth: 90 }}>
            {name}
          </Text>
          <Text>{t('isHere')}</Text>
          <Select
            label={t('cableFor', { name })}
            value={meant.get(name)!}
            options={cables.map((cable) => ({ value: cable.name, label: cable.name }))}
            onChange={(value) => setChosen({ ...chosen, [name]: value })}
          />
        </View>
      ))}
      <Button
        label={t('copyLines', { lines: text.trim().split('\n').length })}
        look="next"
        onPress={() => onCopy(renameAllInPlan(text.trim(), there, meant))}
      />
    </View>
  );
}
