export { ProjectList as default } from '@/projects/ProjectList';
