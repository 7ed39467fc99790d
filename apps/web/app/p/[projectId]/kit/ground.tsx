export { RouteImportPage as default } from '@/ground/RouteImportPage';
