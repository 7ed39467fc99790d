export * from './crc16.ts';
export * from './joints.ts';
export * from './noise.ts';
export * from './sor.ts';
export * from './stretches.ts';
export * from './write.ts';
export * from './pair.ts';
export * from './trace.ts';
