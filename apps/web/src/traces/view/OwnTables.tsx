import { useState } from 'react';
import { View } from 'react-native';
import { formatPlace } from '@cordel/core';
import { ownTables as own } from '@cordel/text/pages/traces/OwnTables';
import { tracesShared as t } from '@cordel/text/pages/traces/shared';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import type { CircuitAnswer } from '../queries';
import { type TraceView, useTable } from './useTraceView';
import type { ShownTrace, TableRow } from './view.worker';

/** What was found in the samples beside the instrument's own table, for one trace. */
export function OwnTables({
  view,
  circuit,
  traces,
}: {
  view: TraceView;
  circuit: CircuitAnswer;
  traces: readonly ShownTrace[];
}) {
  const colors = useColors();
  const unit = useProjectView().project.units.distance;
  const [id, setId] = useState<string | null>(null);
  const trace = traces.find((one) => one.id === id) ?? null;
  const rows = useTable(view.viewer, trace);
  return (
    <View style={{ gap: 8 }}>
      <Text kind="name" heading={2}>
        {t('besideTheInstrumentsOwnTable')}
      </Text>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        {circuit.traces
          .filter((one) => traces.some((shown) => shown.id === one.id))
          .map((one) => (
            <Button
              key={one.id}
              label={one.name}
              look={one.id === id ? 'dark' : 'plain'}
              aria-pressed={one.id === id}
              onPress={() => setId(one.id === id ? null : one.id)}
            />
          ))}
      </View>
      {rows ? (
        <View style={{ borderTopWidth: 2, borderColor: colors.ink }}>
          <Row cells={[t('at'), t('foundHere'), t('instrumentSays')]} strong />
          {rows.map((row) => (
            <Row
              key={`${row.positionM} ${row.own?.code ?? ''}`}
              cells={[formatPlace(row.positionM, unit), foundText(row), instrumentText(row)]}
            />
          ))}
        </View>
      ) : trace ? (
        <Text color="ink2">{t('reading')}</Text>
      ) : null}
    </View>
  );
}

const foundText = ({ found }: TableRow): string => {
  if (!found) return own('nothing');
  if (found.lossDb === null) return own('end');
  return own('lossSigma', {
    loss: found.lossDb.toFixed(3),
    sigma: (2 * found.sigmaDb!).toFixed(3),
    reflects: found.kind === 'reflection' ? 'yes' : 'no',
  });
};

const instrumentText = ({ own: event }: TableRow): string =>
  event
    ? // The second sign of the code of an event is E at the end of the fiber (SR-4731).
      own('lossEnd', { loss: event.lossDb.toFixed(3), end: event.code[1] === 'E' ? 'yes' : 'no' })
    : own('nothing');

function Row({ cells, strong }: { cells: readonly string[]; strong?: boolean }) {
  const colors = useColors();
  return (
    <View
      style={{
        flexDirection: 'row',
        gap: 8,
        borderBottomWidth: 1,
        borderColor: colors.rule,
        paddingVertical: 4,
      }}
    >
      {cells.map((cell, index) => (
        <Text key={index} kind={strong ? 'strong' : 'body'} style={{ flex: index === 0 ? 1 : 1.6 }}>
          {cell}
        </Text>
      ))}
    </View>
  );
}
