export { ContinuityPage as default } from '@/links/ContinuityPage';
