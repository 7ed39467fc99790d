export * from './address.ts';
export * from './parse.ts';
export * from './parseFibers.ts';
export * from './parseMakeUp.ts';
export * from './schemes.ts';
export * from './search.ts';
export * from './types.ts';
export * from './ribbons.ts';
