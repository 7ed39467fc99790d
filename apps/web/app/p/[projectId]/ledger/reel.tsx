export { ReelPage as default } from '@/traces/reel/ReelPage';
