export { demoDocument, trueLoops } from './document.ts';
