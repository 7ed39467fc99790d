import { Slot, useLocalSearchParams } from 'expo-router';
import { ProjectFrame } from '@/projects/ProjectFrame';
import { PageBoundary } from '@/ui/PageBoundary';

export default function ProjectLayout() {
  const { projectId } = useLocalSearchParams<{ projectId: string }>();
  return (
    <ProjectFrame projectId={projectId}>
      <PageBoundary>
        <Slot />
      </PageBoundary>
    </ProjectFrame>
  );
}
