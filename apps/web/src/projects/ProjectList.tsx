import { useRouter } from 'expo-router';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { formatLoss } from '@cordel/core';
import { projectList as t } from '@cordel/text/pages/projects/ProjectList';
import { projectsShared as shared } from '@cordel/text/pages/projects/shared';
import { useProjects } from '@/data/queries';
import { ArchivedList } from '@/removal/ArchivedList';
import { RemovalNotice } from '@/removal/RemovalNotice';
import { RemoveKeys } from '@/removal/RemoveKeys';
import { removableProject } from '@/removal/removables';
import { useRemoval } from '@/removal/useRemoval';
import { Grid } from '@/ui/Grid';
import { ImportPart } from './ImportPart';
import { useProjectImport } from './useProjectImport';
import { Card } from '@/ui/Card';
import { Empty, Waiting } from '@/ui/Notice';
import { OutboxStrip } from '@/ui/OutboxStrip';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { Text } from '@/ui/Text';

/** All projects, with the ways to get another one. */
export function ProjectList() {
  const router = useRouter();
  const projects = useProjects();
  const removal = useRemoval();
  const [managing, setManaging] = useState(false);
  const coming = useProjectImport((id) => router.push(`/p/${id}/route`));
  return (
    <View style={{ flex: 1 }}>
      <Page title={t('projects')} above={t('cordel')}>
        {projects.data ? null : (
          <Waiting error={projects.error} again={() => void projects.refetch()} />
        )}
        {projects.data?.length === 0 ? (
          <Empty title={t('noProjectYet')}>{t('makeOneOrImportAnExported')}</Empty>
        ) : null}
        <RemovalNotice removal={removal} />
        <Grid gap={16}>
          {projects.data
            ?.filter(({ archived }) => !archived)
            .map((project) => (
              <View key={project.id} style={{ gap: 4 }}>
                <Pressable role="button" onPress={() => router.push(`/p/${project.id}/route`)}>
                  <Card hung>
                    <Text kind="name">{project.name}</Text>
                    {project.practiceOnly ? (
                      <Text kind="strong" color="accent">
                        {shared('practiceOnly')}
                      </Text>
                    ) : null}
                    <Text color="ink2">
                      {t('nameGradeDecidesLimit', {
                        name: project.limits.name,
                        grade: project.limits.grade,
                        limit: limitWords(project.limits.splice[project.limits.grade].single),
                      })}
                    </Text>
                  </Card>
                </Pressable>
                {managing ? (
                  <RemoveKeys removal={removal} item={removableProject(project)} />
                ) : null}
              </View>
            ))}
        </Grid>
        <ImportPart coming={coming} />
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 12 }}>
          <Button
            label={shared('newProject')}
            look="next"
            onPress={() => router.push('/projects/new')}
          />
          <Button
            label={t('importAProject')}
            icon="upload"
            disabled={coming.state.stage === 'sending'}
            onPress={() => void coming.start()}
          />
          {projects.data?.length ? (
            <Button
              label={managing ? t('doneWithDeleting') : t('deleteOrArchive')}
              aria-expanded={managing}
              onPress={() => setManaging(!managing)}
            />
          ) : null}
        </View>
        <ArchivedList
          removal={removal}
          items={(projects.data ?? []).filter(({ archived }) => archived).map(removableProject)}
        />
      </Page>
      <OutboxStrip />
    </View>
  );
}

const limitWords = (limit: number | null): string =>
  limit === null ? '' : t('atMostDbASplice', { limit: formatLoss(limit) });
