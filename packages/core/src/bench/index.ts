export * from './queue.ts';
