export { TracesPage as default } from '@/traces/bringIn/TracesPage';
