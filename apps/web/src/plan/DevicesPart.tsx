import { useState } from 'react';
import { View } from 'react-native';
import type { Cable } from '@cordel/core';
import { makeUpText } from '@cordel/text/fiber';
import { devicesPart as t } from '@cordel/text/pages/plan/DevicesPart';
import { useProjectView } from '@/projects/context';
import { ArchivedList } from '@/removal/ArchivedList';
import { RemovalNotice } from '@/removal/RemovalNotice';
import { RemoveKeys } from '@/removal/RemoveKeys';
import { removable } from '@/removal/removables';
import { useRemoval } from '@/removal/useRemoval';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Text } from '@/ui/Text';
import { DeviceForm, type DeviceKind } from './DeviceForm';
import { ModulePicture } from './ModulePicture';
import { PortPanel } from './PortPanel';
import { SplitterPicture } from './SplitterPicture';
import type { OnDevice } from './onDevices';

interface DevicesPartProps {
  closureId: string;
  /** What the plan puts onto each device, by the device's name. */
  planned: ReadonlyMap<string, readonly OnDevice[]>;
}

/** The splitters and ports of a closure, each as a picture of what the plan puts onto it. */
export function DevicesPart({ closureId, planned }: DevicesPartProps) {
  const { devices, isArchived } = useProjectView();
  const removal = useRemoval();
  const [open, setOpen] = useState<string | null>(null);
  const all = devices.filter((device) => device.closureId === closureId);
  const own = all.filter((device) => !isArchived(device));
  const close = () => setOpen(null);
  return (
    <Card style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('devices')}
      </Text>
      <RemovalNotice removal={removal} />
      {own.length === 0 ? <Text color="ink2">{t('devicesHint')}</Text> : null}
      {own.map((device) =>
        open === device.id ? (
          <View key={device.id} style={{ gap: 12 }}>
            <DeviceForm closureId={closureId} device={device} onDone={close} />
            <RemoveKeys removal={removal} item={removable('cable', device)} onGone={close} />
          </View>
        ) : (
          <View key={device.id} style={{ gap: 6 }}>
            <Button
              onPress={() => setOpen(device.id)}
              style={{ justifyContent: 'space-between', flexWrap: 'wrap' }}
            >
              <Text kind="name">{device.name}</Text>
              <Text color="ink2">{makeUpText(device.makeUp)}</Text>
            </Button>
            <Picture device={device} on={planned.get(device.name) ?? []} />
          </View>
        ),
      )}
      {(['ports', 'splitter'] as const).map((kind: DeviceKind) =>
        open === kind ? (
          <DeviceForm key={kind} kind={kind} closureId={closureId} onDone={close} />
        ) : (
          <Button
            key={kind}
            label={kind === 'ports' ? t('addPorts') : t('addSplitter')}
            icon={kind === 'ports' ? 'view-grid-plus-outline' : 'source-branch'}
            onPress={() => setOpen(kind)}
          />
        ),
      )}
      <ArchivedList
        removal={removal}
        items={all.filter(isArchived).map((device) => removable('cable', device))}
      />
    </Card>
  );
}

function Picture({ device, on }: { device: Cable; on: readonly OnDevice[] }) {
  const { makeUp } = device;
  if (makeUp.kind === 'splitter')
    return <SplitterPicture splitter={makeUp} name={device.name} on={on} />;
  if (makeUp.kind !== 'ports') return null;
  return (
    <View style={{ gap: 8 }}>
      <PortPanel ports={makeUp} name={device.name} on={on} />
      {makeUp.place === 'module' ? <ModulePicture on={on} /> : null}
    </View>
  );
}
