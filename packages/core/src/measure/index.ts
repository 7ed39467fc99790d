export * from './distance.ts';
export * from './loss.ts';
