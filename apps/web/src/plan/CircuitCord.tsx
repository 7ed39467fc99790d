import { useRouter } from 'expo-router';
import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { formatDistance, formatLoss, isDevice, splitterLossMdb } from '@cordel/core';
import { colourText, makeUpText, unitText } from '@cordel/text/fiber';
import { circuitCord as t } from '@cordel/text/pages/plan/CircuitCord';
import { common } from '@cordel/text/pages/common';
import { useProjectView } from '@/projects/context';
import { FiberEye } from '@/ui/FiberEye';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';

/** One fiber on its way, and the splice that leads on from it, as the server tells it. */
export interface CircuitLeg {
  cableId: string;
  fiber: number;
  splice: { id: string; closureId: string; tray: number; slot: number } | null;
  length: number | null;
}

/** A splitter at an end of a circuit, as the server tells it. */
export interface CircuitSplitter {
  cableId: string;
  /** The output that this circuit leaves by; null where the circuit feeds it. */
  output: number | null;
  feed: { cableId: string; fiber: number } | null;
  outputs: readonly { output: number; cableId: string; fiber: number }[];
}

/** A circuit as a cord from end to end: the fiber's eye in each cable, a knot at each splice. */
export function CircuitCord({
  legs,
  splitters,
  at,
}: {
  legs: readonly CircuitLeg[];
  splitters: readonly CircuitSplitter[];
  at: { cableId: string; fiber: number };
}) {
  const feed = splitters.find(({ output }) => output !== null);
  const fed = splitters.find(({ output }) => output === null);
  return (
    <View>
      {feed ? (
        <Feed splitter={feed} />
      ) : (
        <End words={legs[0] && legs.length === 1 ? t('notSplicedAnywhere') : t('oneEnd')} />
      )}
      {legs.map((leg) => (
        <View key={`${leg.cableId} ${leg.fiber}`}>
          <InCable leg={leg} here={leg.cableId === at.cableId && leg.fiber === at.fiber} />
          {leg.splice ? <Knot splice={leg.splice} /> : null}
        </View>
      ))}
      {fed ? <Branches splitter={fed} /> : <End words={t('otherEnd')} />}
    </View>
  );
}

/** The splitter that a circuit comes out of: a tap goes on to what feeds it. */
function Feed({ splitter }: { splitter: CircuitSplitter }) {
  const { cable, fiberName } = useProjectView();
  const follow = useFollow();
  const name = cable(splitter.cableId)?.name ?? '';
  const { feed } = splitter;
  if (!feed) return <End words={t('nothingFeeds', { name })} />;
  return (
    <Button
      label={t('fedThrough', { name, fiber: fiberName(feed.cableId, feed.fiber) })}
      icon="arrow-up"
      onPress={() => follow(feed)}
    />
  );
}

/** What a splitter makes of a circuit: a line for each output in use, a tap goes on with it. */
function Branches({ splitter }: { splitter: CircuitSplitter }) {
  const { cable, fiberName } = useProjectView();
  const follow = useFollow();
  const device = cable(splitter.cableId);
  if (device?.makeUp.kind !== 'splitter') return null;
  const { makeUp } = device;
  return (
    <View style={{ gap: 6, paddingLeft: 28 }}>
      <Text kind="strong">
        {t('branches', { name: device.name, outputs: splitter.outputs.length })}
      </Text>
      {splitter.outputs.map(({ output, ...far }) => (
        <Button
          key={output}
          label={t('branch', {
            output,
            fiber: fiberName(far.cableId, far.fiber),
            loss: formatLoss(splitterLossMdb(makeUp, output)),
          })}
          icon="source-branch"
          onPress={() => follow(far)}
        />
      ))}
    </View>
  );
}

/** Goes on to another fiber of the network. */
function useFollow() {
  const router = useRouter();
  const { address } = useProjectView();
  return ({ cableId, fiber }: { cableId: string; fiber: number }) => {
    const place = address(cableId, fiber);
    const own = place && unitText(place);
    const isDeviceFiber = place?.place.unit && !['tube', 'ribbon'].includes(place.place.unit.kind);
    router.setParams({ cable: cableId, fiber: isDeviceFiber && own ? own : String(fiber) });
  };
}

function Row({ cord, children }: { cord: React.ReactNode; children: React.ReactNode }) {
  return (
    <View style={{ flexDirection: 'row', gap: 12, alignItems: 'stretch' }}>
      <View style={{ width: 28, alignItems: 'center' }}>{cord}</View>
      <View style={{ flex: 1, paddingVertical: 8 }}>{children}</View>
    </View>
  );
}

function Cord({ knot }: { knot?: boolean }) {
  const colors = useColors();
  return (
    <Svg width={28} height="100%" style={{ position: 'absolute', top: 0, bottom: 0 }} aria-hidden>
      <Line x1={14} x2={14} y1={0} y2="100%" stroke={colors.ink} strokeWidth={5} />
      <Line
        x1={14}
        x2={14}
        y1={0}
        y2="100%"
        stroke={colors.wood}
        strokeWidth={2}
        strokeDasharray="5 4"
      />
      {knot ? (
        <Rect
          x={4}
          y={16}
          width={20}
          height={16}
          fill={colors.wood}
          stroke={colors.ink}
          strokeWidth={2}
        />
      ) : null}
    </Svg>
  );
}

const End = ({ words }: { words: string }) => (
  <Text color="ink2" style={{ paddingLeft: 40 }}>
    {words}
  </Text>
);

function InCable({ leg, here }: { leg: CircuitLeg; here: boolean }) {
  const { address, cable, fiberName, project } = useProjectView();
  const place = address(leg.cableId, leg.fiber);
  const makeUp = cable(leg.cableId)?.makeUp;
  const device = makeUp && isDevice(makeUp) ? makeUp : null;
  return (
    <Row cord={<Cord />}>
      <View style={{ flexDirection: 'row', gap: 12, alignItems: 'center' }}>
        {place ? <FiberEye address={place} size={48} /> : null}
        <View style={{ flex: 1 }}>
          <Text kind="strong">{`${fiberName(leg.cableId, leg.fiber)} ${place && !device ? colourText(place.fiber) : ''}${here ? t('askedFor') : ''}`}</Text>
          <Text color="ink2">
            {[
              device ? makeUpText(device) : place ? unitText(place) : '',
              leg.length === null ? '' : formatDistance(leg.length, project.units.distance),
            ]
              .filter(Boolean)
              .join(' · ')}
          </Text>
        </View>
      </View>
    </Row>
  );
}

function Knot({ splice }: { splice: NonNullable<CircuitLeg['splice']> }) {
  const { closures, project } = useProjectView();
  const router = useRouter();
  const closure = closures.find((entry) => entry.id === splice.closureId);
  return (
    <Row cord={<Cord knot />}>
      <Button
        style={{ justifyContent: 'space-between' }}
        onPress={() =>
          router.push(
            `/p/${project.id}/ledger?view=splices&closure=${splice.closureId}&open=splice.${splice.id}` as never,
          )
        }
      >
        <Text kind="strong">{closure?.name ?? common('closure')}</Text>
        <Text color="ink2">{t('traySlot', { tray: splice.tray, slot: splice.slot })}</Text>
      </Button>
    </Row>
  );
}
