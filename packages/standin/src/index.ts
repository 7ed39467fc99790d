export * from './night.ts';
export * from './otdr.ts';
export * from './plant.ts';
export * from './practice.ts';
export * from './random.ts';
export * from './splicer.ts';
export { IDEAL, type Receiver } from './receiver.ts';
