import { View } from 'react-native';
import { formatPlace } from '@cordel/core';
import { closureTable as t } from '@cordel/text/pages/traces/ClosureTable';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import type { CircuitAnswer } from '../queries';

/** Every closure on the route: both directions, the mean, and what the mode fields differ by. */
export function ClosureTable({
  circuit,
  nm,
  look,
}: {
  circuit: CircuitAnswer;
  nm: number;
  look(positionM: number): void;
}) {
  const colors = useColors();
  const unit = useProjectView().project.units.distance;
  const figure = (own: { lossDb: number } | null) => (own ? own.lossDb.toFixed(3) : '–');
  return (
    <View style={{ borderTopWidth: 2, borderColor: colors.ink }}>
      {circuit.points.map(({ name, positionM, spliceId }, index) => {
        if (spliceId === null) return null;
        const splice = circuit.splices.find(
          (own) => own.point === index && own.wavelengthNm === nm,
        );
        return (
          <View
            key={spliceId}
            style={{
              borderBottomWidth: 1,
              borderColor: colors.rule,
              paddingVertical: 6,
              flexDirection: 'row',
              alignItems: 'center',
              flexWrap: 'wrap',
              columnGap: 14,
            }}
          >
            <View style={{ minWidth: 150, flexGrow: 1 }}>
              <Text kind="strong">{name}</Text>
              <Text color="ink2">{positionM === null ? '' : formatPlace(positionM, unit)}</Text>
            </View>
            <Text>
              {t('abBaDb', {
                ab: figure(splice?.forward ?? null),
                ba: figure(splice?.backward ?? null),
              })}
            </Text>
            <Text kind="strong">
              {splice?.mean
                ? t('meanLossSigma', {
                    loss: splice.mean.lossDb.toFixed(3),
                    sigma: Math.max(0.001, 2 * splice.mean.sigmaDb).toFixed(3),
                  })
                : t('noMeanADirectionIsMissing')}
            </Text>
            {splice?.modeField ? (
              <Text color="ink2">
                {t('modeFieldMismatch', {
                  loss: splice.modeField.lossDb > 0 ? t('smallerToLarger') : t('largerToSmaller'),
                  percent: Math.abs(10 ** (splice.modeField.lossDb / 10) * 100 - 100).toFixed(1),
                })}
              </Text>
            ) : null}
            {positionM === null ? null : (
              <Button
                label={t('closerToName', { name })}
                look="bare"
                icon="magnify"
                onPress={() => look(positionM)}
              >
                <></>
              </Button>
            )}
          </View>
        );
      })}
    </View>
  );
}
