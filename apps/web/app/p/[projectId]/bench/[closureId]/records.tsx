export { RecordsPage as default } from '@/bench/RecordsPage';
