export { CableListPage as default } from '@/kit/CableListPage';
