export { KitPage as default } from '@/kit/KitPage';
