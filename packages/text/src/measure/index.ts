export * from './input.ts';
