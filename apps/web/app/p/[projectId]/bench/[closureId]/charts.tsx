export { ChartsPage as default } from '@/bench/ChartsPage';
