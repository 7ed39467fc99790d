export { ClosuresPage as default } from '@/kit/ClosuresPage';
