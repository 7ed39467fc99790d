export { BenchStart as default } from '@/bench/BenchStart';
