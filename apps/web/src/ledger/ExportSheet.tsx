import { View } from 'react-native';
import { exportSheet as t } from '@cordel/text/pages/ledger/ExportSheet';
import { ledgerShared as shared } from '@cordel/text/pages/ledger/shared';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Sheet } from '@/ui/Sheet';
import { Text } from '@/ui/Text';

const FILES = [
  { path: 'csv/splices', label: t('splicesCsv') },
  { path: 'csv/fibers', label: t('fibersCsv') },
  { path: 'csv/trays', label: t('traysCsv') },
  { path: 'csv/closures', label: t('closuresCsv') },
  { path: 'project.zip', label: t('wholeProjectZip') },
  { path: 'document.json', label: t('wholeProjectJson') },
];

/** Files to take out: CSV by matter, and the whole project. */
export function ExportSheet({ visible, onClose }: { visible: boolean; onClose(): void }) {
  const { project } = useProjectView();
  return (
    <Sheet title={shared('export')} visible={visible} onClose={onClose}>
      <Text>{t('csvAsInRfc4180The')}</Text>
      <View style={{ gap: 8 }}>
        {FILES.map(({ path, label }) => (
          <Button
            key={path}
            label={label}
            icon="download"
            onPress={() => download(`/api/projects/${project.id}/${path}`)}
          />
        ))}
        <Button
          label={t('jsonSchemaOfTheProject')}
          icon="code-json"
          onPress={() => window.open('/api/schemas/project.json', '_blank')}
        />
      </View>
    </Sheet>
  );
}

function download(path: string): void {
  const link = document.createElement('a');
  link.href = path;
  link.download = '';
  document.body.append(link);
  link.click();
  link.remove();
}
