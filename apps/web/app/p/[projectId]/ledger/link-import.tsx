export { LinkImportPage as default } from '@/links/LinkImportPage';
