import { View } from 'react-native';
import {
  type CableEntry,
  type ColourScheme,
  type MakeUp,
  colourAt,
  fiberCount,
  unitKind,
  unitSize,
} from '@cordel/core';
import { colourText } from '@cordel/text/fiber';
import { prepShared as t } from '@cordel/text/pages/prep/shared';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';

interface TubeWaysProps {
  makeUp: MakeUp;
  /** The cable's colours; null where they are not known. */
  scheme: ColourScheme | null;
  tubes: CableEntry['tubes'];
  onChange(tubes: CableEntry['tubes']): void;
}

/** No window can be cut in a ribbon. */
const NEXT = {
  tube: { whole: 'dedicate', dedicate: 'window', window: 'whole' },
  ribbon: { whole: 'dedicate', dedicate: 'whole', window: 'whole' },
} as const;

/** Which tubes or ribbons of an express cable are opened, and how: each press goes on to the next way. */
export function TubeWays({ makeUp, scheme, tubes, onChange }: TubeWaysProps) {
  const kind = unitKind(makeUp);
  const count = fiberCount(makeUp) / unitSize(makeUp);
  const wayOf = (unit: number) => tubes.find((tube) => tube.unit === unit)?.way ?? 'whole';
  const nameOf = (unit: number) =>
    kind === 'tube' && scheme ? `${unit} ${colourText(colourAt(scheme, unit))}` : `${unit}`;
  const turn = (unit: number) => {
    const others = tubes.filter((tube) => tube.unit !== unit);
    const way = NEXT[kind][wayOf(unit)];
    onChange(way === 'whole' ? others : [...others, { unit, way }]);
  };
  return (
    <View style={{ gap: 6 }}>
      <Text color="ink2">{t('unitsThatAreOpened', { unit: kind })}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {Array.from({ length: count }, (_, index) => index + 1).map((unit) => (
          <Button
            key={unit}
            label={t('unitWay', { name: nameOf(unit), way: wayOf(unit) })}
            look={wayOf(unit) === 'whole' ? 'plain' : 'dark'}
            onPress={() => turn(unit)}
          />
        ))}
      </View>
    </View>
  );
}
