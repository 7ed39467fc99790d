// Closing on a path of its own: the first view does without it.
export * from './chain.ts';
export * from './content.ts';
export * from './cutOver.ts';
export * from './face.ts';
export * from './gas.ts';
export * from './labels.ts';
export * from './leak.ts';
export * from './pointTypes.ts';
export * from './points.ts';
export * from './pressureTest.ts';
export * from './shortCode.ts';
export * from './state.ts';
export * from './visits.ts';
export * from '../measure/pressure.ts';
export * from '../record/canonical.ts';
export * from '../record/closing.ts';
