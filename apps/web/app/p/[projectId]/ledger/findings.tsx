export { FindingsPage as default } from '@/traces/FindingsPage';
