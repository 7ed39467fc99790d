import { Redirect } from 'expo-router';
import { keptNow } from '@/data/storage';
import { useProjects } from '@/data/queries';
import { LAST_PROJECT } from './ProjectFrame';
import { ProjectList } from './ProjectList';

/** Opens the project in hand: the last one used, else the only one; otherwise the list. */
export function Start() {
  const projects = useProjects();
  const last = keptNow(LAST_PROJECT);
  const known = projects.data?.find((project) => project.id === last);
  const only = projects.data?.length === 1 ? projects.data[0] : undefined;
  const project = known ?? only;
  return project ? <Redirect href={`/p/${project.id}/route`} /> : <ProjectList />;
}
