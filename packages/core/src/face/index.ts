export * from './faceHistory.ts';
export * from './findFace.ts';
export * from './gradeFace.ts';
