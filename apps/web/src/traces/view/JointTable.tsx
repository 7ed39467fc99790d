import { View } from 'react-native';
import { formatPlace } from '@cordel/core';
import { useProjectView } from '@/projects/context';
import { Press } from '@/ui/Press';
import { Txt } from '@/ui/Txt';
import { useInks } from '@/ui/theme';
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
  const inks = useInks();
  const unit = useProjectView().project.units.distance;
  const figure = (own: { loss: number; sigma: number } | null) => (own ? own.loss.toFixed(3) : '–');
  return (
    <View style={{ borderTopWidth: 2, borderColor: inks.ink }}>
      {circuit.points.map(({ name, at, spliceId }, index) => {
        if (spliceId === null) return null;
        const joint = circuit.joints.find((own) => own.point === index && own.wavelengthNm === nm);
        return (
          <View
            key={spliceId}
            style={{
              borderBottomWidth: 1,
              borderColor: inks.rule,
              paddingVertical: 6,
              flexDirection: 'row',
              alignItems: 'center',
              flexWrap: 'wrap',
              columnGap: 14,
            }}
          >
            <View style={{ minWidth: 150, flexGrow: 1 }}>
              <Txt kind="strong">{name}</Txt>
              <Txt ink="ink2">{at === null ? '' : formatPlace(at, unit)}</Txt>
            </View>
            <Txt>{`AB ${figure(joint?.forward ?? null)}  BA ${figure(joint?.backward ?? null)} dB`}</Txt>
            <Txt kind="strong">
              {joint?.mean
                ? `mean ${joint.mean.loss.toFixed(3)} ± ${Math.max(0.001, 2 * joint.mean.sigma).toFixed(3)} dB`
                : 'no mean: a direction is missing'}
            </Txt>
            {joint?.modeField ? (
              <Txt ink="ink2">{`mode-field mismatch (${joint.modeField.loss > 0 ? 'smaller to larger' : 'larger to smaller'}), ${Math.abs(10 ** (joint.modeField.loss / 10) * 100 - 100).toFixed(1)} %`}</Txt>
            ) : null}
            {at === null ? null : (
              <Press
                label={`Closer to ${name}`}
                look="bare"
                icon="magnify"
                onPress={() => look(at)}
              >
                <></>
              </Press>
            )}
          </View>
        );
      })}
    </View>
  );
}
