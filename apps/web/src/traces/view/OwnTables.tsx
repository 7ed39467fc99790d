import { useState } from 'react';
import { View } from 'react-native';
import { formatPlace } from '@cordel/core';
import { tracesShared as t } from '@cordel/text/pages/traces/shared';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import type { CircuitAnswer } from '../queries';
import { type TraceView, useTable } from './useTraceView';
import type { ShownTrace } from './view.worker';

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
  const trace = traces.find((own) => own.id === id) ?? null;
  const rows = useTable(view.viewer, trace);
  return (
    <View style={{ gap: 8 }}>
      <Text kind="name" heading={2}>
        {t('besideTheInstrumentsOwnTable')}
      </Text>
      <View style={{ flexDirection: 'row', gap: 8, flexWrap: 'wrap' }}>
        {circuit.traces
          .filter((own) => traces.some((shown) => shown.id === own.id))
          .map((own) => (
            <Button
              key={own.id}
              label={own.name}
              look={own.id === id ? 'dark' : 'plain'}
              aria-pressed={own.id === id}
              onPress={() => setId(own.id === id ? null : own.id)}
            />
          ))}
      </View>
      {rows ? (
        <View style={{ borderTopWidth: 2, borderColor: colors.ink }}>
          <Row cells={[t('at'), t('foundHere'), t('instrumentSays')]} strong />
          {rows.map((row) => (
            <Row
              key={`${row.position} ${row.own?.code ?? ''}`}
              cells={[
                formatPlace(row.position, unit),
                row.found === null
                  ? 'nothing'
                  : row.found.loss === null
                    ? row.found.kind
                    : `${row.found.loss.toFixed(3)} ± ${(2 * row.found.sigma!).toFixed(3)} dB${row.found.kind === 'reflection' ? ', reflects' : ''}`,
                row.own === null
                  ? 'nothing'
                  : `${row.own.loss.toFixed(3)} dB${row.own.code[1] === 'E' ? ', end' : ''}`,
              ]}
            />
          ))}
        </View>
      ) : trace ? (
        <Text ink="ink2">{t('reading')}</Text>
      ) : null}
    </View>
  );
}

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
