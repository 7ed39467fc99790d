export { SchemesPage as default } from '@/kit/SchemesPage';
