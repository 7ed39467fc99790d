export { ShiftPage as default } from '@/bench/shift/ShiftPage';
