export { LinksPage as default } from '@/links/LinksPage';
