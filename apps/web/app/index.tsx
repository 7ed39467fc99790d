export { Start as default } from '@/projects/Start';
