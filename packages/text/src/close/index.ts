export * from './points.ts';
export * from './record.ts';
export * from './state.ts';
export * from './hazards.ts';
