export { ImportPage as default } from '@/splices/ImportPage';
