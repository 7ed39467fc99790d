import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { tracesShared as shared } from '@cordel/text/pages/traces/shared';
import type { CircuitAnswer } from '@/traces/queries';
import { TraceCanvas } from '@/traces/view/TraceCanvas';
import type { StringLook } from '@/traces/view/draw';
import { useTraceView } from '@/traces/view/useTraceView';
import { shownOf } from '@/traces/view/shownOf';

/** Both directions of a circuit at the longest wavelength, slope removed. */
export function BothTraces({ circuit }: { circuit: CircuitAnswer }) {
  const [width, setWidth] = useState(340);
  const nm = Math.max(...circuit.traces.map(({ wavelengthNm }) => wavelengthNm));
  const traces = useMemo(
    () =>
      circuit.traces
        .filter(({ wavelengthNm }) => wavelengthNm === nm)
        .map((trace) => shownOf(trace, circuit.lengthM)),
    [circuit, nm],
  );
  const view = useTraceView(traces, circuit.lengthM, width - 46, true);
  const { points } = circuit;
  const looks = traces.map(({ id, back }): StringLook => ({
    id,
    label: shared('fromPlace', { name: (back ? points.at(-1)! : points[0]!).name }),
    hollow: back,
    strong: true,
    drop: 0,
  }));
  const pegs = points.flatMap(({ positionM, name, spliceId }) =>
    positionM === null
      ? []
      : [{ at: positionM, name, words: '', bad: false, end: spliceId === null }],
  );
  return (
    <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      <TraceCanvas
        view={view}
        looks={looks}
        pegs={pegs}
        width={width}
        height={300}
        label={`${circuit.label}, ${nm} nm`}
      />
    </View>
  );
}
