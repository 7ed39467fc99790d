import { useState } from 'react';
import { View } from 'react-native';
import { formatPlace } from '@cordel/core';
import type { TableDifference } from '@cordel/core/otdr';
import { ownTables as own } from '@cordel/text/pages/traces/OwnTables';
import { tracesShared as t } from '@cordel/text/pages/traces/shared';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { useColors } from '@/ui/theme';
import type { CircuitAnswer } from '../queries';
import { shotNames } from '../shotName';
import { TableRow } from './TableRow';
import { type TraceView, useTable } from './useTraceView';
import type { ShownTrace, TraceTable } from './view.worker';

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
  const { timeZone, distance: unit } = useProjectView().project.units;
  const nameOf = shotNames(circuit.traces, timeZone);
  const [id, setId] = useState<string | null>(null);
  const trace = traces.find((one) => one.id === id) ?? null;
  const table = useTable(view.viewer, trace);
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
              label={nameOf(one)}
              look={one.id === id ? 'dark' : 'plain'}
              aria-pressed={one.id === id}
              onPress={() => setId(one.id === id ? null : one.id)}
            />
          ))}
      </View>
      {table ? (
        <>
          <Text color="ink2">{noiseText(table)}</Text>
          <Text color="ink2">{own('largestFirst')}</Text>
          <View style={{ borderTopWidth: 2, borderColor: colors.ink }}>
            <TableRow
              strong
              cells={[t('at'), t('foundHere'), t('instrumentSays'), own('difference')]}
              shares={SHARES}
            />
            {table.rows.map((row) => (
              <TableRow
                shares={SHARES}
                key={`${row.positionM} ${row.instrument?.code ?? ''}`}
                cells={[
                  formatPlace(row.positionM, unit),
                  foundText(row),
                  instrumentText(row),
                  own('differs', {
                    kind: row.kind,
                    by: row.byDb.toFixed(3),
                    apart: formatPlace(row.apartM ?? 0, unit),
                  }),
                ]}
              />
            ))}
          </View>
        </>
      ) : trace ? (
        <Text color="ink2">{t('reading')}</Text>
      ) : null}
    </View>
  );
}

/** How wide the columns are beside each other. */
const SHARES = [1, 1.6, 1.6, 1.6];

/** Levels in finer steps than the file's own are not worth a word, dB. */
const FINE_STEP = 0.0015;

const noiseText = ({ noiseDb, sharedSamples, storedStepDb }: TraceTable): string =>
  own('noiseOf', {
    noise: noiseDb.toFixed(4),
    shared: Math.round(sharedSamples),
    step: storedStepDb > FINE_STEP ? storedStepDb.toFixed(3) : 'none',
  });

const foundText = ({ found }: TableDifference): string => {
  if (!found) return own('nothing');
  if (found.lossDb === null) return own('end');
  return own('lossSigma', {
    loss: found.lossDb.toFixed(3),
    sigma: (2 * found.sigmaDb!).toFixed(3),
    kind: found.kind,
    saturated: found.isSaturated ? 'yes' : 'no',
  });
};

const instrumentText = ({ instrument }: TableDifference): string =>
  instrument
    ? own('lossEnd', {
        loss: instrument.lossDb.toFixed(3),
        end: instrument.isEnd ? 'yes' : 'no',
      })
    : own('nothing');
