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
  /** The cable's colors; null where they are not known. */
  scheme: ColourScheme | null;
  tubes: CableEntry['tubes'];
  /** Whether the plan says which are opened: then only how is chosen. */
  isPlanned: boolean;
  onChange(tubes: CableEntry['tubes']): void;
}

/** No window can be cut in a ribbon. */
const NEXT = {
  tube: { whole: 'dedicate', dedicate: 'window', window: 'whole' },
  ribbon: { whole: 'dedicate', dedicate: 'whole', window: 'whole' },
} as const;

/** Which tubes or ribbons of an express cable are opened, and how: each press goes on to the next way. */
export function TubeWays({ makeUp, scheme, tubes, isPlanned, onChange }: TubeWaysProps) {
  const kind = unitKind(makeUp) === 'ribbon' ? 'ribbon' : 'tube';
  const count = fiberCount(makeUp) / unitSize(makeUp);
  const units = isPlanned
    ? tubes.map(({ unit }) => unit)
    : Array.from({ length: count }, (_, index) => index + 1);
  const wayOf = (unit: number) => tubes.find((tube) => tube.unit === unit)?.way ?? 'whole';
  const nameOf = (unit: number) =>
    kind === 'tube' && scheme ? `${unit} ${colourText(colourAt(scheme, unit))}` : `${unit}`;
  const turn = (unit: number) => {
    const others = tubes.filter((tube) => tube.unit !== unit);
    const after = NEXT[kind][wayOf(unit)];
    const way = isPlanned && after === 'whole' ? 'dedicate' : after;
    onChange(way === 'whole' ? others : [...others, { unit, way }]);
  };
  return (
    <View style={{ gap: 6 }}>
      <Text color="ink2">
        {t(isPlanned ? 'unitsThatThePlanOpens' : 'unitsThatAreOpened', { unit: kind })}
      </Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {units.map((unit) => (
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
