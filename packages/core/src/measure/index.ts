export * from './air.ts';
export * from './distance.ts';
export * from './length.ts';
export * from './loss.ts';
export * from './number.ts';
export * from './count.ts';
export * from './moment.ts';
export * from './temperature.ts';
