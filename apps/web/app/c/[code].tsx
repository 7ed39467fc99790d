export { CodePage as default } from '@/labels/CodePage';
