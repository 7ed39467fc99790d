export { BenchPage as default } from '@/bench/BenchPage';
