export * from './circuits.ts';
export * from './occupancy.ts';
export * from './spliceList.ts';
