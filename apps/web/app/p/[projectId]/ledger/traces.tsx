export { TracesPage as default } from '@/traces/import/TracesPage';
