import { View } from 'react-native';
import { useProjectView } from '@/projects/context';
import { Press } from '@/ui/Press';
import { Sheet } from '@/ui/Sheet';
import { Txt } from '@/ui/Txt';

const FILES = [
  { path: 'csv/splices', label: 'Splices (CSV)' },
  { path: 'csv/fibers', label: 'Fibers (CSV)' },
  { path: 'csv/trays', label: 'Trays (CSV)' },
  { path: 'csv/closures', label: 'Closures (CSV)' },
  { path: 'project.zip', label: 'Whole project (ZIP)' },
  { path: 'document.json', label: 'Whole project (JSON)' },
];

/** Files to take out: CSV by matter, and the whole project. */
export function ExportSheet({ visible, onClose }: { visible: boolean; onClose(): void }) {
  const { project } = useProjectView();
  return (
    <Sheet title="Export" visible={visible} onClose={onClose}>
      <Txt>
        CSV as in RFC 4180. The whole project is what Cordel imports again: the zip has traces and
        photos as files, the JSON is one text.
      </Txt>
      <View style={{ gap: 8 }}>
        {FILES.map(({ path, label }) => (
          <Press
            key={path}
            label={label}
            icon="download"
            onPress={() => download(`/api/projects/${project.id}/${path}`)}
          />
        ))}
        <Press
          label="JSON Schema of the project"
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
