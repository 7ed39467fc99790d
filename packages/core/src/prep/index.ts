export * from './assembly.ts';
export * from './cutPlan.ts';
export * from './hardware.ts';
export * from './seal.ts';
export * from './steps.ts';
export * from './storage.ts';
