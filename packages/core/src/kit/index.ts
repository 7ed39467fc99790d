export * from './list.ts';
