import { View } from 'react-native';
import Svg, { Circle, Rect } from 'react-native-svg';
import { type Ports, portSize, wordsOf, runsOf } from '@cordel/core';
import { devicesPart as t } from '@cordel/text/pages/plan/DevicesPart';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import type { OnDevice } from './onDevices';

/** Ports as they are mounted: each with its number, and the fiber that ends there. A free one has its cap on. */
export function PortPanel({
  ports,
  name,
  on,
}: {
  ports: Ports;
  name: string;
  on: readonly OnDevice[];
}) {
  const size = portSize(ports);
  return (
    <View role="list" aria-label={name} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 4 }}>
      {Array.from({ length: ports.ports }, (_, index) => {
        const port = index + 1;
        const own = on.filter(({ fiber }) => Math.ceil(fiber / size) === port);
        return <Port key={port} port={port} own={own} polish={ports.polish} />;
      })}
    </View>
  );
}

function Port({
  port,
  own,
  polish,
}: {
  port: number;
  own: readonly OnDevice[];
  polish: Ports['polish'];
}) {
  const colors = useColors();
  const [first] = own;
  const fiber = first ? fiberWords(own) : t('capFree');
  return (
    <View
      role="listitem"
      aria-label={t('port', { port, fiber })}
      style={{
        width: 84,
        minHeight: 64,
        borderWidth: 2,
        borderColor: first ? colors.ink : colors.rule,
        backgroundColor: colors.leaf,
        padding: 4,
        gap: 2,
      }}
    >
      <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
        <Text kind="strong">{port}</Text>
        <Svg width={22} height={22} aria-hidden>
          <Rect
            x={1}
            y={1}
            width={20}
            height={20}
            fill="none"
            stroke={colors.ink}
            strokeWidth={2}
          />
          {first ? (
            <Circle cx={11} cy={11} r={5} fill={colors.ink} />
          ) : (
            <Rect x={5} y={5} width={12} height={12} fill={colors.rule} />
          )}
          {polish === 'APC' ? <Rect x={15} y={1} width={6} height={6} fill={colors.ink} /> : null}
        </Svg>
      </View>
      <Text kind="small" color={first ? 'ink' : 'ink2'}>
        {fiber}
      </Text>
    </View>
  );
}

/** Such as `D 3`, or `R 1-12` at an array. */
function fiberWords(own: readonly OnDevice[]): string {
  if (own.length === 1) return own[0]!.label;
  const fibers = own.map(({ other }) => other).sort((a, b) => a - b);
  return `${own[0]!.cable} ${wordsOf(runsOf(fibers))}`;
}
