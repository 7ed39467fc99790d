export { ArcPage as default } from '@/bench/ArcPage';
