export * from './fiberVerdict.ts';
