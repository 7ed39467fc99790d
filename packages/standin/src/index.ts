export * from './night.ts';
export * from './random.ts';
export * from './splicer.ts';
