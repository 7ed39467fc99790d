import { ScrollView } from 'react-native';
import { ledgerShared as t } from '@cordel/text/pages/ledger/shared';
import { ClosureSheet } from '@/route/ClosureSheet';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';
import { CableRecord } from './CableRecord';
import { FiberRecord } from './FiberRecord';
import { SpliceRecord } from './SpliceRecord';
import { TrayRecord } from './TrayRecord';
import { useLedgerParams } from './useLedgerParams';

/** The record of the row that is open; `onClose` where it covers the list. */
export function OpenRecord({ onClose }: { onClose?: () => void }) {
  const { params } = useLedgerParams();
  const [kind, first = '', second = ''] = params.open.split('.');
  return (
    <ScrollView tabIndex={0} contentContainerStyle={{ padding: 16, gap: 14 }}>
      {onClose ? (
        <Button
          label={t('backToTheList')}
          icon="arrow-left"
          look="bare"
          onPress={onClose}
          style={{ alignSelf: 'flex-start', marginLeft: -12 }}
        />
      ) : null}
      {kind === 'splice' ? <SpliceRecord spliceId={first} /> : null}
      {kind === 'fiber' ? <FiberRecord cableId={first} fiber={Number(second)} /> : null}
      {kind === 'tray' ? <TrayRecord closureId={first} tray={Number(second)} /> : null}
      {kind === 'closure' ? <ClosureSheet closureId={first} /> : null}
      {kind === 'cable' ? <CableRecord cableId={first} /> : null}
      {['splice', 'fiber', 'tray', 'closure', 'cable'].includes(kind ?? '') ? null : (
        <Text>{t('thereIsNoSuchRecord')}</Text>
      )}
    </ScrollView>
  );
}
