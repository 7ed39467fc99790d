export { PassOnPage as default } from '@/passOn/PassOnPage';
