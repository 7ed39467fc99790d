export * from './layout.ts';
