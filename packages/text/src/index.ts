export * from './catalog.ts';
export * from './phrases.ts';
