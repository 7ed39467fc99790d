import { Slot, useLocalSearchParams } from 'expo-router';
import { ProjectFrame } from '@/projects/ProjectFrame';

export default function ProjectLayout() {
  const { projectId } = useLocalSearchParams<{ projectId: string }>();
  return (
    <ProjectFrame projectId={projectId}>
      <Slot />
    </ProjectFrame>
  );
}
