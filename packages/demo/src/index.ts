export { demoDocument, trueLoops, trueSplices } from './document.ts';
