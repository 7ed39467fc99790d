export * from './advice.ts';
export * from './arc.ts';
export * from './records.ts';
export * from './charts.ts';
export * from './setup.ts';
export * from './steps.ts';
export * from './practice.ts';
export * from './shift.ts';
