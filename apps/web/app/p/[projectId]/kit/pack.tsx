export { PackPage as default } from '@/kit/PackPage';
