export { RouteImportPage as default } from '@/routeImport/RouteImportPage';
