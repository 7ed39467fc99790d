import { useLocalSearchParams } from 'expo-router';
import { common } from '@cordel/text/pages/common';
import { useProjectView } from '@/projects/context';
import { Page } from '@/ui/Page';
import { ClosureSheet } from './ClosureSheet';

export function ClosurePage() {
  const { closureId } = useLocalSearchParams<{ closureId: string }>();
  const { project, closures } = useProjectView();
  const closure = closures.find((entry) => entry.id === closureId);
  return (
    <Page
      title={closure?.name ?? common('closure')}
      above={project.name}
      back={`/p/${project.id}/route`}
    >
      <ClosureSheet closureId={closureId} titled />
    </Page>
  );
}
