import { View } from 'react-native';
import type { Closure } from '@cordel/core';
import { runForm as t } from '@cordel/text/pages/kit/RunForm';
import { TextField } from '@/ui/TextField';
import { Text } from '@/ui/Text';
import type { TypedRun } from './runForm';

/** How a cable runs: excess fiber, its outer end, and the marks on its sheath. */
export function RunForm({
  value,
  closures,
  onChange,
}: {
  value: TypedRun;
  closures: readonly Pick<Closure, 'id' | 'name'>[];
  onChange(typed: TypedRun): void;
}) {
  const set = (part: Partial<TypedRun>) => onChange({ ...value, ...part });
  return (
    <View style={{ gap: 10 }}>
      <Text color="ink2">{t('soThatMetersOfFiberOn')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        <TextField
          label={t('fiberInALengthOfSheath')}
          value={value.helix}
          hint={t('n10050IsHalfAPercent')}
          onChange={(helix) => set({ helix })}
        />
        {closures.map(({ id, name }) => (
          <TextField
            key={id}
            label={t('sheathMarkAt', { name })}
            value={value.marks[id] ?? ''}
            onChange={(mark) => set({ marks: { ...value.marks, [id]: mark } })}
          />
        ))}
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        <TextField
          label={t('itsOuterEndIsAt')}
          value={value.endName}
          hint={t('aRackATerminalAHouse')}
          onChange={(endName) => set({ endName })}
        />
        <TextField
          label={t('distanceOfThatEnd')}
          value={value.endDistance}
          onChange={(endDistance) => set({ endDistance })}
        />
        <TextField
          label={t('sheathMarkAtThatEnd')}
          value={value.endMark}
          onChange={(endMark) => set({ endMark })}
        />
        <TextField
          label={t('cableCoiledUpThere')}
          value={value.endCoil}
          onChange={(endCoil) => set({ endCoil })}
        />
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10 }}>
        <TextField
          label={t('numberOfItsReel')}
          value={value.reelNumber}
          onChange={(reelNumber) => set({ reelNumber })}
        />
        <TextField
          label={t('lengthOnItsReel')}
          value={value.reelLength}
          hint={t('byItsSheath')}
          onChange={(reelLength) => set({ reelLength })}
        />
      </View>
    </View>
  );
}
