export * from './line.ts';
export * from './pace.ts';
export * from './runs.ts';
export * from './shift.ts';
export * from './timeline.ts';
export * from './units.ts';
