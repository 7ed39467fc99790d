// Tables by matter; what they share stands in tables/columns.ts.
export * from './tables/plant.ts';
export * from './tables/evidence.ts';
export * from './tables/bench.ts';
export * from './tables/traces.ts';
export * from './tables/links.ts';
export * from './tables/closing.ts';
export * from './tables/packages.ts';
export * from './tables/projectImports.ts';
export * from './tables/changes.ts';
export * from './tables/uploads.ts';
export * from './tables/accounts.ts';
export * from './tables/chain.ts';
export * from './tables/apart.ts';
export { evidenceSeq } from './tables/columns.ts';
