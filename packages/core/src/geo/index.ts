// Places on the ground on a path of its own: the first view does without it.
export * from './geodesic.ts';
export * from './readGeoJson.ts';
export * from './writeGeoJson.ts';
