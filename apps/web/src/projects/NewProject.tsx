import { useRouter } from 'expo-router';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';
import {
  BUILT_IN_LIMITS,
  BUILT_IN_SCHEMES,
  METRIC,
  USUAL_BUDGET,
  USUAL_PRACTICE,
} from '@cordel/core';
import { v7 as uuid } from 'uuid';
import { commands } from '@cordel/client';
import { projectsShared as t } from '@cordel/text/pages/projects/shared';
import { outbox } from '@/data/client';
import { useSchemes } from '@/data/queries';
import { OutboxStrip } from '@/ui/OutboxStrip';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { formResolver } from '@/ui/formResolver';
import { ProjectFields } from './ProjectFields';
import {
  type ProjectForm,
  type ReadProjectForm,
  projectForm,
  projectFormSchema,
  toProject,
} from './projectForm';

const START = projectForm({
  name: '',
  practiceOnly: false,
  units: { ...METRIC, timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone },
  schemeId: BUILT_IN_SCHEMES[0]!.id,
  limits: BUILT_IN_LIMITS[0]!,
  trayCapacity: { single: 12, mass: 6 },
  practice: USUAL_PRACTICE,
  budget: USUAL_BUDGET,
  route: [],
});

/** A new project; how it begins is chosen next. */
export function NewProject() {
  const router = useRouter();
  const schemes = useSchemes();
  const { control, handleSubmit, setValue } = useForm<ProjectForm, unknown, ReadProjectForm>({
    resolver: formResolver(projectFormSchema),
    defaultValues: START,
  });
  const save = handleSubmit((form) => {
    const project = toProject(form, {
      id: uuid(),
      createdAt: new Date().toISOString(),
      route: [],
    });
    void outbox.add(commands.saveProject, project, t('projectName', { name: project.name }));
    router.replace(`/p/${project.id}/route` as never);
  });
  return (
    <View style={{ flex: 1 }}>
      <Page title={t('newProject')} back="/projects">
        <ProjectFields
          control={control}
          setValue={setValue}
          schemes={schemes.data ?? BUILT_IN_SCHEMES}
          folded
          onEnter={() => void save()}
        />
        <Button label={t('createProject')} look="next" onPress={() => void save()} />
      </Page>
      <OutboxStrip />
    </View>
  );
}
