export { NewProject as default } from '@/projects/NewProject';
