import { useRouter } from 'expo-router';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { commands } from '@cordel/client';
import { kitShared as t } from '@cordel/text/pages/kit/shared';
import { outbox } from '@/data/client';
import { ProjectFields } from '@/projects/ProjectFields';
import { useProjectView } from '@/projects/context';
import {
  type ProjectForm,
  type ReadProjectForm,
  projectForm,
  projectFormSchema,
  toProject,
} from '@/projects/projectForm';
import { Notice } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { formResolver } from '@/ui/formResolver';

/** The project's name, units, colors and limits. */
export function SettingsPage() {
  const { project, schemes } = useProjectView();
  const router = useRouter();
  // As it was when the form was filled: others may change it meanwhile.
  const [base] = useState(project);
  const { control, handleSubmit, setValue } = useForm<ProjectForm, unknown, ReadProjectForm>({
    resolver: formResolver(projectFormSchema),
    defaultValues: projectForm(project),
  });
  const save = handleSubmit((form) => {
    const changed = toProject(form, base);
    void outbox.add(commands.saveProject, { ...changed, base }, t('projectSettings'));
    router.replace(`/p/${project.id}/kit` as never);
  });
  return (
    <Page
      title={t('projectAndLimits')}
      above={project.name}
      back={`/p/${project.id}/kit`}
      needs="decide"
    >
      <Notice>{t('newLimitsJudgeEverySpliceAnew')}</Notice>
      <ProjectFields control={control} setValue={setValue} schemes={schemes} />
      <Button label={t('save')} look="next" onPress={() => void save()} />
    </Page>
  );
}
