export { demoDocument } from './document.ts';
