export { PracticePage as default } from '@/bench/practice/PracticePage';
