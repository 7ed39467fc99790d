export { CablesPage as default } from '@/kit/CablesPage';
