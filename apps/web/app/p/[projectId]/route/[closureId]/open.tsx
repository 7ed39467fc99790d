export { OpenPage as default } from '@/prep/OpenPage';
