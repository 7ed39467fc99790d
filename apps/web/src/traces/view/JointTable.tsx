import { View } from 'react-native';
import { formatPlace } from '@cordel/core';
import { jointTable as t } from '@cordel/text/pages/traces/JointTable';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import type { CircuitAnswer } from '../queries';

/** Every closure on the way: both directions, the mean, and what the mode fields differ by. */
export function JointTable({
  circuit,
  nm,
  look,
}: {
  circuit: CircuitAnswer;
  nm: number;
  look(at: number): void;
}) {
  const colors = useColors();
  const unit = useProjectView().project.units.distance;
  const figure = (own: { loss: number; sigma: number } | null) => (own ? own.loss.toFixed(3) : '–');
  return (
    <View style={{ borderTopWidth: 2, borderColor: colors.ink }}>
      {circuit.points.map(({ name, at, spliceId }, index) => {
        if (spliceId === null) return null;
        const joint = circuit.joints.find((own) => own.point === index && own.wavelengthNm === nm);
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
              <Text ink="ink2">{at === null ? '' : formatPlace(at, unit)}</Text>
            </View>
            <Text>
              {t('abBaDb', {
                ab: figure(joint?.forward ?? null),
                ba: figure(joint?.backward ?? null),
              })}
            </Text>
            <Text kind="strong">
              {joint?.mean
                ? t('meanLossSigma', {
                    loss: joint.mean.loss.toFixed(3),
                    sigma: Math.max(0.001, 2 * joint.mean.sigma).toFixed(3),
                  })
                : t('noMeanADirectionIsMissing')}
            </Text>
            {joint?.modeField ? (
              <Text ink="ink2">
                {t('modeFieldMismatch', {
                  loss: joint.modeField.loss > 0 ? t('smallerToLarger') : t('largerToSmaller'),
                  percent: Math.abs(10 ** (joint.modeField.loss / 10) * 100 - 100).toFixed(1),
                })}
              </Text>
            ) : null}
            {at === null ? null : (
              <Button
                label={t('closerToName', { name })}
                look="bare"
                icon="magnify"
                onPress={() => look(at)}
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
