import { useRouter } from 'expo-router';
import { type ReactNode, useEffect, useMemo } from 'react';
import { View } from 'react-native';
import { common } from '@cordel/text/pages/common';
import { useChanges } from '@/data/changes';
import { useProject } from '@/data/queries';
import { keep } from '@/data/storage';
import { useRenewTaken } from '@/takeAlong/useRenewTaken';
import { Button } from '@/ui/Button';
import { Shell } from '@/ui/Shell';
import { Waiting } from '@/ui/Notice';
import { ProjectContext, viewOf } from './context';

export const LAST_PROJECT = 'cordel.project';

/** Reads the project for the pages inside and keeps it live. */
export function ProjectFrame({ projectId, children }: { projectId: string; children: ReactNode }) {
  const project = useProject(projectId);
  const router = useRouter();
  useRenewTaken(projectId);
  useChanges(projectId, project.cursor, project.dataUpdatedAt);
  const view = useMemo(() => project.data && viewOf(project.data), [project.data]);
  const found = view !== undefined;
  useEffect(() => {
    if (found) keep(LAST_PROJECT, projectId);
  }, [found, projectId]);
  if (!view) {
    return (
      <Shell projectId={projectId}>
        <View role="main" style={{ padding: 16, gap: 8 }}>
          <Waiting error={project.error} again={() => void project.refetch()} />
          {project.error ? (
            <Button label={common('allProjects')} onPress={() => router.replace('/projects')} />
          ) : null}
        </View>
      </Shell>
    );
  }
  return (
    <ProjectContext.Provider value={view}>
      <Shell projectId={projectId} practiceOnly={view.project.practiceOnly}>
        {children}
      </Shell>
    </ProjectContext.Provider>
  );
}
