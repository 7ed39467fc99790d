export * from './lists.ts';
export * from './plan.ts';
