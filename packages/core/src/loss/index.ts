export * from './joint.ts';
export * from './ledger.ts';
export * from './normal.ts';
export * from './profiles.ts';
export * from './reasons.ts';
export * from './rollUp.ts';
export * from './standing.ts';
export * from './verdict.ts';
