export * from './bench/index.ts';
export * from './fiber/index.ts';
export * from './kit/index.ts';
export * from './loss/index.ts';
export * from './measure/index.ts';
export * from './plan/index.ts';
export * from './prep/index.ts';
export * from './record/index.ts';
