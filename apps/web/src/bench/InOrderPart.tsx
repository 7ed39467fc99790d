import { useState } from 'react';
import { formatLoss } from '@cordel/core';
import { takeInOrder } from '@cordel/core/session';
import { inOrderPart as t } from '@cordel/text/pages/bench/InOrderPart';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Notice } from '@/ui/Notice';
import { Text } from '@/ui/Text';
import { openRecords } from './useRecords';
import type { Bench } from './useBench';
import type { Station } from './useStation';

/** Pairs that are shown before all are asked for. */
const FEW = 6;

interface InOrderProps {
  bench: Bench;
  closure: string;
  splicerId: string;
  station: Station;
}

/** Records that belong to no splice yet, each beside the splice that is its turn: all are taken at once. */
export function InOrderPart({ bench, closure, splicerId, station }: InOrderProps) {
  const [isAll, setAll] = useState(false);
  const [taken, setTaken] = useState(0);
  const open = openRecords(station, bench.splices, splicerId, closure);
  const { pairs, stop } = takeInOrder(open, bench.state, bench.tools);
  if (open.length === 0)
    return taken > 0 ? (
      <Notice word={t('taken')} color="green" live>
        {t('recordsCount', { records: taken })}
      </Notice>
    ) : null;
  return (
    <Card style={{ gap: 8 }}>
      <Text kind="name" heading={2}>
        {t('byFibersInOrder')}
      </Text>
      <Text color="ink2">{t('compareTheFirstAndTheLast')}</Text>
      {(isAll ? pairs : pairs.slice(0, FEW)).map(({ record, sleeve }) => (
        <Text key={record.id}>
          <Text kind="strong">{t('numberAt', { number: record.number })}</Text>
          {t('spliceLosses', {
            splice: bench.words(sleeve.splices),
            tray: sleeve.tray,
            slot: sleeve.slot,
            losses: record.fibers.map(({ estimateMdb }) => formatLoss(estimateMdb!)).join(', '),
          })}
        </Text>
      ))}
      {!isAll && pairs.length > FEW ? (
        <Button label={t('showAll', { pairs: pairs.length })} onPress={() => setAll(true)} />
      ) : null}
      {stop ? <Notice>{t(stop.code, { number: stop.number })}</Notice> : null}
      {pairs.length > 0 ? (
        <Button
          label={t('takeRecords', { records: pairs.length })}
          look="next"
          onPress={() => {
            bench.dispatch({ type: 'takeAll', pairs });
            setTaken(pairs.length);
          }}
        />
      ) : null}
    </Card>
  );
}
