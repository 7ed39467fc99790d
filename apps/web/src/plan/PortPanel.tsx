import { View } from 'react-native';
import Svg, { Circle, Rect } from 'react-native-svg';
import { type Ports, groupBy, portSize, runsOf, wordsOf } from '@cordel/core';
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
  if (ports.ports > MOST_LARGE) return <Rows ports={ports} name={name} on={on} />;
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

/** A panel of more ports is drawn by twelves. */
const MOST_LARGE = 24;
const ROW = 12;

/** Ports of a large panel, twelve a row: full or free, and the fibers that end in the row. */
function Rows({ ports, name, on }: { ports: Ports; name: string; on: readonly OnDevice[] }) {
  const colors = useColors();
  const size = portSize(ports);
  return (
    <View role="list" aria-label={name} style={{ gap: 6 }}>
      {Array.from({ length: Math.ceil(ports.ports / ROW) }, (_, row) => {
        const first = row * ROW + 1;
        const last = Math.min(ports.ports, first + ROW - 1);
        const own = on.filter(({ fiber }) => {
          const port = Math.ceil(fiber / size);
          return port >= first && port <= last;
        });
        const used = new Set(own.map(({ fiber }) => Math.ceil(fiber / size)));
        return (
          <View key={first} role="listitem" style={{ gap: 2 }}>
            <Text>{t('portRow', { first, last, fibers: rowWords(own) })}</Text>
            <Svg width={ROW * 24} height={22} aria-hidden>
              {Array.from({ length: last - first + 1 }, (_, index) => (
                <Rect
                  key={index}
                  x={index * 24 + 1}
                  y={1}
                  width={20}
                  height={20}
                  fill={used.has(first + index) ? colors.ink : colors.leaf}
                  stroke={colors.ink}
                  strokeWidth={2}
                />
              ))}
            </Svg>
          </View>
        );
      })}
    </View>
  );
}

/** Such as `T 145-156`, by cable; in words where none is there. */
function rowWords(own: readonly OnDevice[]): string {
  if (own.length === 0) return t('capFree');
  return [...groupBy(own, ({ cable }) => cable).values()].map(fiberWords).join(', ');
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
