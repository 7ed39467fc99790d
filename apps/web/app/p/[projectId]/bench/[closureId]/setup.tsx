export { SetupPage as default } from '@/bench/SetupPage';
