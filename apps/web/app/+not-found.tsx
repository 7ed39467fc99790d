export { NotFound as default } from '@/projects/NotFound';
